import type { CaseContent } from '@/casefile/content'
import type { RecordVerdict } from '@/casefile/verdict'
import { type ReportOptions, type Unstated, usualParts } from '@/desk/reportOptions'
import { CORE_VERSION } from '@/claims/terms/version'
import { PART_WORDS } from '@/words/en/reportWords'
import { instantWords } from '@/words/en/trailWords'
import { formatCount } from '@/words/figures'
import type { Block, Part } from './document/document'
import type { Writer } from './language'

/** A name with what belongs to it. */
export type Row = readonly [name: string, value: string]

/** What a case is called at the head of its report. */
export const titleOf = ({ reference, subject }: Readonly<{ reference: string; subject: string }>): string =>
  [reference, subject].filter((part) => part.trim() !== '').join(' ') || 'Case without a subject'

/** The state of a case that a report is made from: "as of 2026-11-05 08:00:00 UTC, entry 12 of the trail". */
export const asOfWords = ({ case: { updatedAt }, head }: CaseContent, write: Writer): string =>
  `as of ${instantWords(updatedAt)}, entry ${write(formatCount(head.length))} of the trail`

/**
 * The number of a report: nobody hands it out, and another state of the case, or another finding, has another one but for one
 * chance in four thousand million.
 *
 * @param hash - of the last entry of the trail, or of what was signed
 * @example
 * reportNumber('WH-014', '3f2a91c0…') // 'WH-014-3F2A91C0'
 */
export const reportNumber = (reference: string, hash: string): string =>
  [reference.trim(), hash.slice(0, 8).toUpperCase()].filter(Boolean).join('-')

/** What can be stated, as it is wanted: without what is not, or with that it is not. */
export const asStated = (rows: readonly Row[], unstated: Unstated): readonly Row[] =>
  unstated === 'named'
    ? rows.map(([name, value]) => [name, value.trim() === '' ? 'not stated' : value])
    : rows.filter(([, value]) => value.trim() !== '')

/** Who answers for a report and for whom it is, whom the case is about and who works on it. */
export const partiesOf = ({ case: known }: CaseContent, unstated: Unstated): readonly Row[] =>
  asStated(
    [
      ['Office', known.office],
      ['Customer or occasion', known.occasion],
      ['Authorised by', known.authorisedBy],
      ['Accreditation', known.accreditation],
      ['Reference', known.reference],
      ['Subject', known.subject],
      ['Trader who makes the claims', known.party],
      ['Officers', known.people],
    ],
    unstated,
  )

/** The rows of a case report's cover. */
export function caseRows(content: CaseContent, asOf: string, unstated: Unstated): readonly Row[] {
  const { case: known, claims, samples, head } = content
  return [
    ['Number of this report', reportNumber(known.reference, head.hash)],
    ...partiesOf(content, unstated),
    ['Opened', known.openedOn],
    ['Due', known.dueOn],
    ['Closed', known.closedOn],
    [
      'State of the case',
      known.state === 'open' ? 'open, so that this is a preliminary report' : known.state,
    ],
    ['Claims and samples', `${claims.length} and ${samples.length}`],
    ['Notes', known.notes],
    ['Made from the case', asOf],
    ['Hash of that entry', head.hash],
  ]
}

/** The head of a report: its title, and where it is wanted what it is with everything that is stated of it. */
export function coverPart(
  title: string,
  cover: Readonly<{ what: string; rows: readonly Row[] }> | undefined,
): Part {
  if (!cover) return { id: 'cover', title, level: 1, blocks: [] }
  const { what, rows } = cover
  const stated = asStated([...rows, ['Computed with', `core ${CORE_VERSION}`]], 'left-out')
  const blocks: readonly Block[] = [
    { is: 'paragraph', text: what, look: 'quiet' },
    { is: 'facts', label: 'Case', rows: stated },
  ]
  return { id: 'cover', title, level: 1, blocks }
}

/** What is not what was written, before anything that rests on it; it can't be left out. */
export function recordPart({ breaks, notes }: RecordVerdict): readonly Part[] {
  if (breaks.length === 0 && notes.length === 0) return []
  const title = breaks.length === 0 ? 'What the record does not show' : 'The record does not hold'
  const items = [...breaks.map(({ message }) => message), ...notes]
  return [{ id: 'record', title, level: 2, blocks: [{ is: 'list', items }] }]
}

/** The last part: how far the results reach, what was left out, and that nothing follows. */
export function endPart(number: string, { parts }: ReportOptions): Part {
  const leftOut = usualParts(1).filter((name) => !parts.includes(name))
  const blocks: readonly Block[] = [
    {
      is: 'paragraph',
      text: 'The results relate only to the items that were sampled and tested, as they are described. What a finding says of more than these rests on how they were drawn. Remarks are the opinion of those who wrote or signed them.',
    },
    ...(leftOut.length === 0
      ? []
      : [
          {
            is: 'paragraph',
            text: `Left out of this report: ${leftOut.map((name) => PART_WORDS[name]).join('; ')}. They can be made from the case file.`,
          } as const,
        ]),
    { is: 'paragraph', text: `End of report ${number}.` },
  ]
  return { id: 'end', title: 'What the results relate to', level: 2, blocks }
}
