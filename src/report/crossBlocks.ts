import { inOrder } from '@/claims/crossexamination/crossExamination'
import type { Examined } from '@/claims/crossexamination/question'
import { shownGap } from '@/words/display'
import {
  askedWords,
  byRow,
  type ReadingName,
  remarkWords,
  standingWords,
  turnsAt,
} from '@/words/en/crossWords'
import { formatCount, formatPercent, formatPValue } from '@/words/figures'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import type { Formats } from '@/words/formats'
import type { Block } from './document/document'
import type { Writer } from './language'
import { MAX_EXAMINED } from './answersTo'
import type { ClaimStudy } from './study'

type Checked = NonNullable<ClaimStudy['checked']>

/** Would the finding stand if something were otherwise? What turns it comes first. */
export function crossBlocks(
  { formats, reading }: ClaimStudy,
  { answers, result, document }: Checked,
  write: Writer,
): readonly Block[] {
  if (!answers) {
    const text = `The sample has more than ${formatCount(MAX_EXAMINED)} readings: its cross-examination takes long, and stands on the claim’s own page.`
    return [{ is: 'paragraph', text: write(text), look: 'quiet' }]
  }
  const level = result.interval?.level
  const name = byRow({ first: reading.evidence, second: reading.second })
  const gap = (size: number) => shownGap(size, formats.display)
  const { outcome } = result.finding
  return [
    {
      is: 'paragraph',
      text: write(standingWords({ answers, outcome, gap, name })),
      look: 'finding',
    },
    {
      is: 'table',
      label: 'Cross-examination',
      heads: ['Would the finding stand if …', 'Finding', 'p-value', 'Interval'],
      rows: inOrder(answers).map((answer) =>
        rowOf(answer, { formats, level, claimed: document.claim.value, name }).map(write),
      ),
      numbers: [false, false, true, true],
    },
  ]
}

function rowOf(
  answer: Examined,
  shown: Readonly<{
    formats: Formats
    level: number | undefined
    claimed: number
    name: ReadingName
  }>,
): readonly string[] {
  const { formats, level, claimed, name } = shown
  const { inUnit, display } = formats
  const { asked, note, figure, outcome, stands, interval, pValue, logPValue, significanceLevel } = answer
  const found = figure === undefined ? '' : `: ${figureWords(figure, claimed, { inUnit, display })}`
  const ends = [interval?.lower, interval?.upper].filter((end) => end !== undefined).map(inUnit)
  const at = interval && interval.level !== level ? ` at ${formatPercent(interval.level)}` : ''
  return [
    `… ${askedWords(asked, name)}${found}${note ? `. ${remarkWords(note, name)}` : ''}`,
    outcome && stands !== undefined ? `${OUTCOME_WORDS[outcome]}${stands ? '' : ', turned'}` : '',
    pValue === undefined && logPValue === undefined ? '' : formatPValue(pValue, significanceLevel ?? 1),
    `${ends.join(' to ')}${at}`,
  ]
}

function figureWords(
  { kind, value }: NonNullable<Examined['figure']>,
  claimed: number,
  { inUnit, display }: Pick<Formats, 'inUnit' | 'display'>,
): string {
  if (kind === 'smallest-gap') return shownGap(value, display)
  if (kind === 'sample-size') return `it takes ${formatCount(value)} units`
  if (kind === 'exposure') return `it takes an exposure of ${formatCount(value)}`
  const { words, shown } = turnsAt(value, claimed, inUnit)
  return `${words} ${shown}`
}
