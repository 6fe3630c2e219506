'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import { useState, useTransition } from 'react'
import type { LotLine } from '@/answers/lots'
import { type DrawnBar, groupsLine } from '@/pictures/groupsLine'
import type { Range } from '@/pictures/claimLine'
import { type Display, scaled } from '@/words/display'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import {
  displayOfLines,
  type GroupSubject,
  lineCells,
  lineHeads,
  type ShownLine,
  shownLines,
} from '@/words/en/groupLines'
import { formatFull, withoutMadeUpDigits, withUnit } from '@/words/figures'
import { GroupBar } from '@/ui/charts/GroupBars'
import { Cell, Head } from '@/ui/figures/DataTable'
import { officerHere } from '@/ui/officer'
import { WideBox } from '@/ui/WideBox'
import { openGroup } from './actions'

const Table = chakra('table', { base: { width: '100%', borderCollapse: 'collapse', marginTop: '8px' } })
const Row = chakra('tr', { base: { borderTop: '1px solid', borderColor: 'rule' } })
const Name = chakra('th', {
  base: { textAlign: 'left', fontWeight: '400', padding: '0 14px 0 0', verticalAlign: 'middle' },
})
const Finding = chakra('span', {
  base: {
    '&[data-found]': { fontWeight: '600' },
    '&[data-mark=Contradicted]': { color: 'finding.contradicted' },
    '&[data-mark=Supported]': { color: 'finding.supported' },
  },
})
const FOUND: ReadonlySet<string> = new Set(Object.values(OUTCOME_WORDS))

export type What = 'groups' | 'lots'

type Lines = Readonly<{
  claimId: string
  what: What
  /** What the lines are named by: a column, or the lot. */
  name: string
  /** The claimed value, or both limits; the label of a control. */
  claimed: readonly number[]
  subject: GroupSubject
  /** Those that are shown, in their order, and all. */
  ordered: readonly LotLine[]
  all: readonly LotLine[]
}>

/** A line for each group or lot: its figures, its finding, and its interval on the scale of all. */
export function GroupLines({ ordered, all, claimed, ...own }: Lines) {
  const { what, subject, name } = own
  const display = displayOfLines(all, subject)
  const shown = shownLines(ordered, subject, display)
  const limits = claimed.map((value) => scaled(value, display))
  const picture = pictureOf(ordered, limits, display)
  const heads = lineHeads(what === 'lots' ? 'lot' : name, subject, all)
  const marks = limits.map((value) => withUnit(formatFull(withoutMadeUpDigits(value)), display.unit))
  const title = what === 'lots' ? 'Lots' : 'Groups'
  return (
    <WideBox label={title}>
      <Table aria-label={title}>
        <thead>
          <tr>
            {[...(what === 'lots' ? ['day'] : []), ...heads].map((head) => (
              <Head key={head} scope="col">
                {head}
              </Head>
            ))}
            <Head scope="col" width="26%">
              {marks.length > 0 ? `claimed ${marks.join(' and ')}` : 'picture'}
            </Head>
          </tr>
        </thead>
        <tbody>
          {ordered.map((line, at) => (
            <Line
              key={line.label}
              {...own}
              {...{ line, heads, limits, x: picture.x }}
              shown={shown[at]!}
              bar={picture.bars[at]}
            />
          ))}
        </tbody>
      </Table>
    </WideBox>
  )
}

function pictureOf(lines: readonly LotLine[], limits: readonly number[], display: Display) {
  const inScale = (value: number | undefined) => (value === undefined ? undefined : scaled(value, display))
  const bars = lines.map(({ estimate, interval }) => ({
    estimate: inScale(estimate),
    lower: inScale(interval?.lower),
    upper: inScale(interval?.upper),
  }))
  return groupsLine(bars, limits)
}

function Line({
  claimId,
  what,
  subject,
  line,
  shown,
  heads,
  limits,
  bar,
  x,
}: Pick<Lines, 'claimId' | 'what' | 'subject'> &
  Readonly<{
    line: LotLine
    shown: ShownLine
    heads: readonly string[]
    limits: readonly number[]
    bar: DrawnBar | undefined
    x: Range
  }>) {
  const [label, ...cells] = lineCells(shown, subject.isControl)
  const ofFindings = subject.isControl ? 1 : 2
  return (
    <Row>
      {what === 'lots' && <Cell verticalAlign="middle">{line.day ?? 'no day'}</Cell>}
      <Name scope="row">
        {what === 'groups' && line.label !== '' ? (
          <GroupLink claimId={claimId} label={line.label} name={label!} />
        ) : (
          label
        )}
      </Name>
      {cells.map((cell, place) => (
        <Cell
          key={heads[place + 1]}
          padding="0 14px 0 0"
          verticalAlign="middle"
          fontFamily={place < cells.length - ofFindings ? 'mono' : undefined}
          // "< 0.001" is one figure.
          whiteSpace={cell.startsWith('<') ? 'nowrap' : undefined}
        >
          <Finding data-mark={cell} data-found={FOUND.has(cell) || undefined}>
            {cell}
          </Finding>
        </Cell>
      ))}
      <Cell padding="0">
        <GroupBar
          {...{ bar, x }}
          claimed={limits}
          isAgainst={[line.outcome, line.together].includes('contradicted')}
        />
      </Cell>
    </Row>
  )
}

const Plain = chakra('button', {
  base: {
    padding: 0,
    border: 0,
    bg: 'transparent',
    color: 'accent',
    cursor: 'pointer',
    textAlign: 'left',
    _hover: { textDecoration: 'underline' },
  },
})

/** Shows the claim with the rows of one group kept, as a claim of its own. */
function GroupLink({ claimId, label, name }: Readonly<{ claimId: string; label: string; name: string }>) {
  const [isRunning, start] = useTransition()
  const [problem, setProblem] = useState('')
  const open = () =>
    start(async () => {
      const opened = await openGroup(claimId, label, officerHere())
      if (!opened.ok) setProblem(opened.problem.message)
    })
  return (
    <>
      <Plain
        type="button"
        disabled={isRunning}
        title="Its own workbench, with these rows kept"
        onClick={open}
      >
        {name}
      </Plain>
      {problem && <div role="alert">{problem}</div>}
    </>
  )
}
