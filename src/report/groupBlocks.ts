import type { LotLine } from '@/answers/lots'
import type { Homogeneity } from '@/statistics/describe/homogeneity'
import { claimedIn, subjectOfGroups } from '@/intake/groupSubject'
import { scaled } from '@/words/display'
import { displayOfLines, lineCells, lineHeads, orderedLines, shownLines } from '@/words/en/groupLines'
import {
  adjustmentWords,
  alikeWords,
  betweenWords,
  CONTROL_OF_GROUPS,
  groupsHeadline,
} from '@/words/en/groupsWords'
import { formatCount, formatLimit, withUnit } from '@/words/figures'
import type { Block } from './document/document'
import { groupsDrawing } from './drawing/groups'
import type { Writer } from './language'
import type { ClaimStudy } from './study'

/** So many lines stand in a picture, and in a table; the others are in the data. */
const [MAX_DRAWN, MAX_LISTED] = [40, 500]

type Compared = Readonly<{ lines: readonly LotLine[]; between?: Homogeneity }>

/** The claim held against each group, or each lot: the table, the picture, and what taking them together changes. */
export function groupBlocks(
  study: ClaimStudy,
  compared: Compared,
  { what, write }: Readonly<{ what: 'groups' | 'lots'; write: Writer }>,
): readonly Block[] {
  const { draft } = study.claim
  const codes = study.samples[0]?.draft.columns.find(({ name }) => name === draft.groupsBy)?.codes
  const subject = { ...subjectOfGroups(draft, what === 'groups' ? codes : ''), decimals: study.decimals }
  const ordered = orderedLines(compared.lines, what === 'lots' ? 'day' : 'estimate')
  const display = displayOfLines(ordered, subject)
  const listed = ordered.slice(0, MAX_LISTED)
  const shown = shownLines(listed, subject, display)
  const heads = lineHeads(what === 'lots' ? 'lot' : draft.groupsBy, subject, ordered)
  const hasDays = what === 'lots'
  const tested = ordered.filter(({ method }) => method !== undefined).length
  const notes = [
    ...(tested > 1 ? [adjustmentWords(draft.adjustment, tested, subject.level, what)] : []),
    ...(what === 'groups' && subject.isControl ? [CONTROL_OF_GROUPS] : []),
    ...(compared.between ? [betweenWords(compared.between, what, draft.unit)] : []),
    ...(ordered.length > MAX_LISTED
      ? [
          `The table has the first ${formatCount(MAX_LISTED)} of ${formatCount(ordered.length)} ${what}, those with the largest estimates; the case’s own data have all.`,
        ]
      : []),
  ]
  const alike = what === 'groups' ? alikeWords(ordered.map(({ label }) => label)) : ''
  return [
    { is: 'paragraph', text: write(groupsHeadline(ordered, what)) },
    {
      is: 'table',
      label: what === 'lots' ? 'Lots' : 'Groups',
      heads: hasDays ? ['Day', ...heads] : heads,
      rows: listed.map((line, at) => {
        // A group is called what people called it: 20260224 is no number.
        const [name, ...cells] = lineCells(shown[at]!, subject.isControl)
        return [...(hasDays ? [line.day ?? 'no day'] : []), name!, ...cells.map(write)]
      }),
      numbers: [
        ...(hasDays ? [false] : []),
        ...heads.map((_, at) => at > 0 && at < (subject.isControl ? 3 : 6)),
      ],
    },
    ...pictureOf(
      study,
      { lines: ordered.slice(0, MAX_DRAWN), of: ordered.length, what, write },
      { subject, display },
    ),
    ...[...notes.map(write), ...(alike === '' ? [] : [alike])].map(
      (text) => ({ is: 'paragraph', text, look: 'quiet' }) as const,
    ),
  ]
}

type Shown = Readonly<{
  subject: ReturnType<typeof subjectOfGroups>
  display: ReturnType<typeof displayOfLines>
}>

function pictureOf(
  { claim }: ClaimStudy,
  {
    lines,
    of,
    what,
    write,
  }: Readonly<{ lines: readonly LotLine[]; of: number; what: 'groups' | 'lots'; write: Writer }>,
  { subject, display }: Shown,
): readonly Block[] {
  const names = shownLines(lines, subject, display)
  const inScale = (value: number | undefined) => (value === undefined ? undefined : scaled(value, display))
  const claimed = claimedIn(claim.draft).map((value) => {
    const own = scaled(value, display)
    return { value: own, words: `claimed ${withUnit(formatLimit(own), display.unit)}` }
  })
  const judged = lines.flatMap((line, at) =>
    line.estimate === undefined
      ? []
      : [
          {
            name: names[at]!.label,
            isAgainst: [line.outcome, line.together].includes('contradicted'),
            ...{
              estimate: inScale(line.estimate),
              lower: inScale(line.interval?.lower),
              upper: inScale(line.interval?.upper),
            },
          },
        ],
  )
  if (judged.length === 0) return []
  const part =
    of > lines.length ? ` The first ${formatCount(lines.length)} of ${formatCount(of)} are drawn.` : ''
  const title = what === 'lots' ? 'Lots' : 'Groups'
  return [
    {
      is: 'picture',
      drawing: groupsDrawing(judged, { claimed, unit: display.unit ?? '' }, write),
      title,
      description: write(
        `${title}: a line for each, its estimate and its interval, with the claimed value through all.${part}`,
      ),
    },
  ]
}
