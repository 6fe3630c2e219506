import * as z from 'zod/mini'
import { normal } from '@/statistics/distributions/normal'
import { studentT } from '@/statistics/distributions/studentT'
import type { Worked } from '../terms/definition'
import {
  computed,
  type Formula,
  fraction,
  given,
  joined,
  type Step,
  root,
  squared,
  step,
  symbol,
} from '../terms/formula'
import { failure, type Outcome, success } from '../terms/outcome'
import { type ClaimProblem, problems } from '../terms/problems'
import type { TestOptions } from '../terms/request'
import type { SampleOf } from '../terms/sample'
import { N, STANDARD_ERROR } from '../working/symbols'
import type { StandardError } from './meanPivot'

/** What a standard error of a mean allows for beside the scatter of the readings. */
export const ALLOWED = {
  lotSize: z.optional(z.number()),
  systematic: z.optional(z.number()),
  systematicDf: z.optional(z.number()),
}
type Allowed = Readonly<{
  lotSize?: number | undefined
  systematic?: number | undefined
  systematicDf?: number | undefined
}>

export type MeanError = StandardError & Readonly<{ allowed: Allowed }>

/**
 * The standard error of a mean: √(A + u²), with A = v/n · (1 − n/N), and its degrees of freedom by Welch and Satterthwaite,
 * (A + u²)² / (A²/ν + u⁴/ν_u), fractional and not truncated.
 *
 * Without a lot or an uncertainty to allow for it is √(v/n) on ν degrees of freedom. Of a lot all of whose units were
 * measured only u is left.
 *
 * @param input.standardDeviation - s, or a known σ; in the unit of the readings
 * @param input.degreesOfFreedom - ν of it; infinite for a known one
 * @returns the problem `lot-size-needed` or `measurement-needed` where what is to be allowed for is not stated
 * @see W. Cochran (1977), Sampling Techniques, 2.6; JCGM 100:2008, G.4
 */
export function meanError(
  input: Readonly<{
    sample: SampleOf<'measured'>
    standardDeviation: number
    degreesOfFreedom: number
    options: Pick<TestOptions, 'finiteLot' | 'allowForMeasurement'>
  }>,
): Outcome<MeanError, ClaimProblem> {
  const { sample, standardDeviation, options } = input
  const { lotSize, measurement } = sample
  const { sampleSize: n } = sample.measured
  if (options.finiteLot && lotSize === undefined) return failure(problems.finiteLotNeedsSize())
  const stated = options.allowForMeasurement ? measurement?.systematic : 0
  if (stated === undefined) return failure(problems.uncertaintyNeeded())
  const isOfLot = lotSize !== undefined && (options.finiteLot || (n === lotSize && stated > 0))
  const factor = isOfLot ? Math.sqrt(Math.max(0, lotSize - n) / lotSize) : 1
  const ofReadings = (standardDeviation / Math.sqrt(n)) * factor
  const systematicDf = measurement?.degreesOfFreedom ?? Infinity
  const df =
    stated === 0 ? input.degreesOfFreedom : effectiveDf({ ...input, ofReadings, stated, systematicDf })
  const isEndless = df === Infinity
  return success({
    standardError: stated === 0 ? ofReadings : Math.hypot(ofReadings, stated),
    distribution: isEndless ? { name: 'normal' } : { name: 't', df },
    reference: isEndless ? normal : studentT(df),
    allowed: {
      ...(isOfLot ? { lotSize } : {}),
      ...(options.allowForMeasurement ? { systematic: stated } : {}),
      ...(options.allowForMeasurement && systematicDf < Infinity ? { systematicDf } : {}),
    },
    ofSample: {
      ...(isOfLot ? { finiteLotFactor: factor } : {}),
      ...(options.allowForMeasurement ? { standardErrorOfReadings: ofReadings } : {}),
    },
  })
}

/** By shares of the whole variance, whose squares stay within a double. */
function effectiveDf(
  input: Readonly<{ ofReadings: number; degreesOfFreedom: number; stated: number; systematicDf: number }>,
): number {
  const { ofReadings, stated } = input
  const whole = Math.hypot(ofReadings, stated)
  const [a, b] = [(ofReadings / whole) ** 2, (stated / whole) ** 2]
  return 1 / ((a * a) / input.degreesOfFreedom + (b * b) / input.systematicDf)
}

const LOT = symbol('N')
const OF_READINGS = symbol('SE_x', '\\mathrm{SE}_x')
const SHARED = symbol('u')
const ONE = symbol('1')

/** How the standard error comes about, in symbols and with the numbers put in. */
export function meanErrorSteps(
  { sample, part }: Worked<Allowed, 'measured'>,
  [letter, standardDeviation]: readonly [Formula, number],
): readonly Step[] {
  const { lotSize, systematic, systematicDf } = part.figures
  const { n, standardError, standardErrorOfReadings } = sample
  const simple = (spread: Formula, size: Formula) => fraction(spread, root(size))
  const formula = (spread: Formula, size: Formula, lot: Formula) =>
    lotSize === undefined
      ? simple(spread, size)
      : joined(simple(spread, size), '·', root(joined(ONE, '−', fraction(size, lot))))
  const ofReadings = [
    formula(letter, N, LOT),
    formula(given(standardDeviation), given(n), given(lotSize ?? 0)),
  ] as const
  if (systematic === undefined || standardErrorOfReadings === undefined)
    return [step('standard-error', STANDARD_ERROR, ...ofReadings, computed(standardError!))]
  const whole = (readings: Formula, shared: Formula) => root(joined(squared(readings), '+', squared(shared)))
  return [
    step('standard-error-of-readings', OF_READINGS, ...ofReadings, computed(standardErrorOfReadings)),
    {
      ...step(
        'standard-error-with-uncertainty',
        STANDARD_ERROR,
        whole(OF_READINGS, SHARED),
        whole(computed(standardErrorOfReadings), given(systematic)),
        computed(standardError!),
      ),
      figures: {
        share: (systematic / standardError!) ** 2,
        ...(part.distribution?.name === 't' ? { df: part.distribution.df } : {}),
        ...(systematicDf === undefined ? {} : { systematicDf }),
      },
    },
  ]
}
