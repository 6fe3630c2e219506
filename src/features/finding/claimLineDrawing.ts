import { parameterOf } from '@/claims/all'
import type { CheckResult } from '@/claims/result'
import type { Parameter } from '@/claims/terms/names'
import type { EstimateFigures } from '@/answers/estimateRequest'
import { mirroringBound } from '@/pictures/claimLine'
import { type Display, scaled } from '@/words/display'
import { boundIn, claimLineWords, intervalWords } from '@/words/en/claimLineWords'
import { formatLimit, formatReading, withUnit } from '@/words/figures'

/** A claim line of readings and of what they came to; while nothing is claimed, of what is estimated. */
export function claimLineDrawing(
  shown: Readonly<{
    values: readonly number[]
    result: CheckResult | undefined
    estimated?: EstimateFigures | undefined
    display: Display
    parameter: Parameter
  }>,
) {
  const { result, estimated, display, parameter } = shown
  const interval = result?.interval ?? estimated?.interval
  const nil = result?.hypotheses.null
  const claimed = (nil === undefined ? [] : 'lower' in nil ? [nil.lower, nil.upper] : [nil.value]).map(
    (value) => scaled(value, display),
  )
  const values = parameterOf(parameter).liesAmongReadings ? shown.values : []
  const inScale = (value: number | undefined) => (value === undefined ? undefined : scaled(value, display))
  const { unit } = display
  const mirror = result && mirroringBound(result)
  return {
    figures: {
      values,
      claimed,
      estimate: inScale(result?.estimate.value ?? estimated?.value),
      lower: inScale(interval?.lower),
      upper: inScale(interval?.upper),
      bound: mirror && boundIn(mirror, display),
    },
    labels: {
      unit: unit ?? '',
      interval: interval ? intervalWords(interval, display) : '',
      bound: mirror ? intervalWords(mirror, display) : '',
      claimed: claimed.map(
        (value) => `${claimed.length === 2 ? 'limit' : 'claimed'} ${withUnit(formatLimit(value), unit)}`,
      ),
      reading: (value: number) => withUnit(formatReading(value), unit),
    },
    description: claimLineWords({ values, result, display }),
  }
}
