import { describeShortly } from '@/statistics/describe/describe'
import { histogram } from '@/statistics/describe/bins'
import { drawnOf, drawnWidth, testedOf } from '@/pictures/readings'
import { samplingPicture } from '@/pictures/samplingPicture'
import { mirroringBound } from '@/pictures/claimLine'
import { boundIn, claimLineWords, intervalWords } from '@/words/en/claimLineWords'
import { type Display, scaled } from '@/words/display'
import { formatCount, formatLimit, formatPValue, withUnit } from '@/words/figures'
import { methodOf, parameterOf } from '@/claims/all'
import { partsOf } from '@/claims/testParts'
import { SOURCE_WORDS } from '@/words/en/conditionWords'
import { itemsLine } from '@/words/en/itemsLineWords'
import { histogramWords } from '@/words/en/histogramWords'
import { samplingWords } from '@/words/en/samplingWords'
import type { Block } from './document/document'
import type { Claimed } from './drawing/claimed'
import { claimLine } from './drawing/claimLine'
import { histogramDrawing } from './drawing/histogram'
import { samplingDrawing } from './drawing/sampling'
import type { Writer } from './language'
import type { ClaimStudy } from './study'

type Checked = NonNullable<ClaimStudy['checked']>

/** The claim line, the readings in bins, and the sampling distribution of each test. */
export function pictureBlocks(study: ClaimStudy, checked: Checked, write: Writer): readonly Block[] {
  return [
    ...claimLineBlock(study, checked, write),
    ...itemsBlock(study, checked, write),
    ...histogramBlocks(study, checked, write),
    ...samplingBlocks(study, checked, write),
  ]
}

function claimLineBlock(
  { formats, reading, claim }: ClaimStudy,
  { result }: Checked,
  write: Writer,
): readonly Block[] {
  const { display } = formats
  const { estimate, interval } = result
  const inScale = (value: number | undefined) => (value === undefined ? undefined : scaled(value, display))
  const { liesAmongReadings } = parameterOf(claim.draft.parameter)
  const values = liesAmongReadings ? testedOf(reading.evidence) : []
  const mirror = mirroringBound(result)
  const { drawing, each } = claimLine(
    {
      values,
      estimate: scaled(estimate.value, display),
      lower: inScale(interval?.lower),
      upper: inScale(interval?.upper),
      claimed: claimedIn(result, display),
      bound: mirror && boundIn(mirror, display),
      boundWords: mirror ? intervalWords(mirror, display) : '',
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

/** The readings of items, each held against a limit. */
function itemsBlock({ reading }: ClaimStudy, { document, result }: Checked, write: Writer): readonly Block[] {
  const line = itemsLine(document.claim, result)
  const values = testedOf(reading.evidence)
  if (!line || values.length === 0 || line.mean === undefined) return []
  const { drawing } = claimLine(
    {
      ...{ values, estimate: line.mean, claimed: line.marks, boundWords: '', interval: '' },
      unit: document.claim.unit ?? '',
    },
    write,
  )
  return [{ is: 'picture', drawing, title: 'Line of items', description: write(line.description) }]
}

function claimedIn({ hypotheses }: Checked['result'], display: Display): Claimed {
  const nil = hypotheses.null
  const limits = 'lower' in nil ? [nil.lower, nil.upper] : [nil.value]
  return limits.map((limit) => {
    const value = scaled(limit, display)
    const words = `${limits.length === 2 ? 'limit' : 'claimed'} ${withUnit(formatLimit(value), display.unit)}`
    return { value, words }
  })
}

/** The readings of each source in bins, as wide as the claim has them. */
function histogramBlocks(
  { claim, reading, formats }: ClaimStudy,
  { result }: Checked,
  write: Writer,
): readonly Block[] {
  const { binWidth, unit, parameter } = claim.draft
  const sources = [reading.evidence, ...(reading.second ? [reading.second] : [])]
  return sources.flatMap((source, at): readonly Block[] => {
    const { values } = drawnOf(source, unit)
    if (values.length < 2) return []
    const sorted = Float64Array.from(values).sort()
    const figures = describeShortly(values, sorted)
    const width = drawnWidth(binWidth ?? figures.binWidth, figures)
    const bins = histogram(sorted, width)
    const claimed = parameterOf(parameter).liesAmongReadings ? claimedIn(result, formats.display) : []
    const of = sources.length === 1 ? undefined : SOURCE_WORDS[at === 0 ? 'first' : 'second']
    return [
      {
        is: 'picture',
        drawing: histogramDrawing({ bins, claimed, unit }, write),
        title: of ? `Histogram, ${of}` : 'Histogram',
        description: write(histogramWords(figures, { count: bins.length, width, unit, of })),
      },
    ]
  })
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
