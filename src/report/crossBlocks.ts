import { inOrder } from '@/claims/crossexamination/crossExamination'
import type { Examined } from '@/claims/crossexamination/question'
import { askedWords, remarkWords, standingWords, turnsAt } from '@/words/en/crossWords'
import { formatCount, formatPercent, formatPValue } from '@/words/figures'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import type { Formats } from '@/words/formats'
import type { Block } from './document/document'
import type { Writer } from './language'
import { type ClaimStudy, MAX_EXAMINED } from './study'

type Checked = NonNullable<ClaimStudy['checked']>

/** Would the finding stand if something were otherwise? What turns it comes first. */
export function crossBlocks(
  { formats }: ClaimStudy,
  { answers, result, document }: Checked,
  write: Writer,
): readonly Block[] {
  if (!answers) {
    const text = `The sample has more than ${formatCount(MAX_EXAMINED)} readings: its cross-examination takes long, and stands on the claim’s own page.`
    return [{ is: 'paragraph', text: write(text), look: 'quiet' }]
  }
  const level = result.interval?.level
  return [
    { is: 'paragraph', text: write(standingWords(answers)), look: 'finding' },
    {
      is: 'table',
      label: 'Cross-examination',
      heads: ['Would the finding stand if …', 'Finding', 'p-value', 'Interval'],
      rows: inOrder(answers).map((answer) =>
        rowOf(answer, { formats, level, claimed: document.claim.value }).map(write),
      ),
      numbers: [false, false, true, true],
    },
  ]
}

function rowOf(
  answer: Examined,
  { formats, level, claimed }: Readonly<{ formats: Formats; level: number | undefined; claimed: number }>,
): readonly string[] {
  const { inUnit } = formats
  const { asked, note, figure, outcome, stands, interval, pValue, logPValue, significanceLevel } = answer
  const found = figure === undefined ? '' : `: ${figureWords(figure, claimed, inUnit)}`
  const ends = [interval?.lower, interval?.upper].filter((end) => end !== undefined).map(inUnit)
  const at = interval && interval.level !== level ? ` at ${formatPercent(interval.level)}` : ''
  return [
    `… ${askedWords(asked)}${found}${note ? `. ${remarkWords(note)}` : ''}`,
    outcome && stands !== undefined ? `${OUTCOME_WORDS[outcome]}${stands ? '' : ', turned'}` : '',
    pValue === undefined && logPValue === undefined ? '' : formatPValue(pValue, significanceLevel ?? 1),
    `${ends.join(' to ')}${at}`,
  ]
}

function figureWords(
  { kind, value }: NonNullable<Examined['figure']>,
  claimed: number,
  show: (value: number) => string,
): string {
  if (kind === 'sample-size') return `it takes ${formatCount(value)} units`
  const { words, shown } = turnsAt(value, claimed, show)
  return `${words} ${shown}`
}
