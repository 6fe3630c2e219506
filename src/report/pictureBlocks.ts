import { samplingPicture } from '@/pictures/samplingPicture'
import { claimLineWords, intervalWords } from '@/words/en/claimLineWords'
import { scaled } from '@/words/display'
import { formatCount, formatLimit, formatPValue, withUnit } from '@/words/figures'
import { methodOf, parameterOf } from '@/claims/all'
import { partsOf } from '@/claims/testParts'
import { samplingWords } from '@/words/en/samplingWords'
import type { Block } from './document/document'
import { claimLine } from './drawing/claimLine'
import { samplingDrawing } from './drawing/sampling'
import type { Writer } from './language'
import type { ClaimStudy } from './study'

type Checked = NonNullable<ClaimStudy['checked']>

/** The claim line, and the sampling distribution of each test. */
export function pictureBlocks(study: ClaimStudy, checked: Checked, write: Writer): readonly Block[] {
  return [...claimLineBlock(study, checked, write), ...samplingBlocks(study, checked, write)]
}

function claimLineBlock(
  { formats, reading, claim }: ClaimStudy,
  { result }: Checked,
  write: Writer,
): readonly Block[] {
  const { display } = formats
  const { estimate, interval, hypotheses } = result
  const nil = hypotheses.null
  const limits = 'lower' in nil ? [nil.lower, nil.upper] : [nil.value]
  const claimed = limits.map((limit) => {
    const value = scaled(limit, display)
    const words = `${limits.length === 2 ? 'limit' : 'claimed'} ${withUnit(formatLimit(value), display.unit)}`
    return { value, words }
  })
  const inScale = (value: number | undefined) => (value === undefined ? undefined : scaled(value, display))
  const { liesAmongReadings } = parameterOf(claim.draft.parameter)
  const values = liesAmongReadings ? reading.evidence.values : []
  const { drawing, each } = claimLine(
    {
      values,
      estimate: scaled(estimate.value, display),
      lower: inScale(interval?.lower),
      upper: inScale(interval?.upper),
      claimed,
      interval: interval ? intervalWords(interval, display) : '',
      unit: display.unit ?? '',
    },
    write,
  )
  const description = write(claimLineWords({ values, result, display }))
  const title =
    each > 1 ? `Claim line (each circle: up to ${write(formatCount(each))} readings)` : 'Claim line'
  return [{ is: 'picture', drawing, title, description }]
}

function samplingBlocks({ formats }: ClaimStudy, { result }: Checked, write: Writer): readonly Block[] {
  const { symbol: letter, statistic } = methodOf(result.test.method)
  const parts = partsOf(result.test)
  const places = parts.length === 2 ? ([0, 1] as const) : ([0] as const)
  return places.flatMap((place): readonly Block[] => {
    const picture = samplingPicture(result, place)
    if (!picture) return []
    const isCount = statistic === 'count'
    const shown = (value: number) =>
      isCount && Number.isInteger(value) ? String(value) : formats.plain(value)
    const { estimateAt } = picture
    const words = {
      statistic: `${letter} = ${shown(picture.statistic)}`,
      critical: (value: number) => `critical ${shown(value)}`,
      estimate: estimateAt && ((value: number) => formats.inUnit(estimateAt(value))),
    }
    const pValue = formatPValue(parts[place]?.pValue, result.test.significanceLevel)
    const description = samplingWords({ picture, letter, plain: shown, inUnit: formats.inUnit, pValue })
    const limit = places.length === 1 ? '' : place === 0 ? ', lower limit' : ', upper limit'
    return [
      {
        is: 'picture',
        drawing: samplingDrawing(picture, words, write),
        title: `Sampling distribution of ${letter}${limit}`,
        description: write(description),
      },
    ]
  })
}
