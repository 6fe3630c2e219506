'use client'

import { Box, chakra } from '@chakra-ui/react'
import { useMemo, useState, useTransition } from 'react'
import type { LotLine } from '@/answers/lots'
import type { Adjustment } from '@/statistics/adjust/adjust'
import { ADJUSTMENTS } from '@/statistics/adjust/adjust'
import type { Homogeneity } from '@/statistics/inference/homogeneity'
import { groupsLine } from '@/pictures/groupsLine'
import { scaled } from '@/words/display'
import {
  ADJUSTMENT_WORDS,
  adjustmentWords,
  alikeWords,
  betweenWords,
  displayOfLines,
  type GroupSubject,
  groupsHeadline,
  LINE_ORDER_WORDS,
  LINE_ORDERS,
  lineCells,
  lineHeads,
  type LineOrder,
  orderedLines,
  shownLines,
} from '@/words/en/groupsWords'
import { formatCount, formatFull, withoutMadeUpDigits, withUnit } from '@/words/figures'
import { GroupBar } from '@/ui/charts/GroupBars'
import { QuietButton } from '@/ui/Button'
import { Cell, Head } from '@/ui/figures/DataTable'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { Main } from '@/ui/Main'
import { officerHere } from '@/ui/officer'
import { PageTitle } from '@/ui/PageTitle'
import { TextLink } from '@/ui/TextLink'
import { WideBox } from '@/ui/WideBox'
import { useView } from '@/ui/workbench/useView'
import { keepGroups, openGroup } from './actions'

const Table = chakra('table', { base: { width: '100%', borderCollapse: 'collapse', marginTop: '8px' } })
const Row = chakra('tr', { base: { borderTop: '1px solid', borderColor: 'rule' } })
const Name = chakra('th', {
  base: { textAlign: 'left', fontWeight: '400', padding: '6px 14px 6px 0', verticalAlign: 'middle' },
})
const Note = chakra('p', { base: { marginTop: '10px', maxWidth: '84ch' } })
const Finding = chakra('span', {
  base: {
    fontWeight: '600',
    '&[data-mark=Contradicted]': { color: 'finding.contradicted' },
    '&[data-mark=Supported]': { color: 'finding.supported' },
  },
})

/** So many lines are shown at first, and more where they are asked for. */
const AT_ONCE = 500

export type Compared = Readonly<{ lines: readonly LotLine[]; between?: Homogeneity }>

type Props = Readonly<{
  caseId: string
  claimId: string
  /** The claim in a line. */
  title: string
  what: 'groups' | 'lots'
  /** What the lines are named by: a column, or the lot. */
  name: string
  /** The claimed value, or both limits; the label of a control. */
  claimed: readonly number[]
  subject: GroupSubject
  adjustment: Adjustment
  compared: Compared
  children?: React.ReactNode
}>

/** A claim held against each of many groups or lots: a line each, with its interval on the claim's own scale. */
export function GroupsView(props: Props) {
  const { claimId, title, what, name, claimed, subject, adjustment, compared, children } = props
  const { lines, between } = compared
  const usual: readonly [LineOrder, ...LineOrder[]] = what === 'lots' ? ['day', ...LINE_ORDERS] : LINE_ORDERS
  const [order, setOrder] = useView('order', usual)
  const [count, setCount] = useState(AT_ONCE)
  const ordered = useMemo(() => orderedLines(lines, order), [lines, order])
  const tested = lines.filter(({ method }) => method !== undefined).length
  const alike = what === 'groups' ? alikeWords(lines.map(({ label }) => label)) : ''
  return (
    <Main maxWidth="1240px" marginInline="auto" padding="28px 24px 64px">
      <PageTitle>{groupsHeadline(lines, what)}</PageTitle>
      <Box color="quiet">{title}</Box>
      {children}
      <Box marginTop="6px" lineHeight="1.9">
        A line is a {what === 'lots' ? 'lot' : `${name || 'group'}`}: its estimate and interval on the claim’s
        own scale, by{' '}
        <InlineChoice
          label="Order of the lines"
          value={order}
          words={ordersFor(what)}
          onChange={(chosen) => setOrder(chosen)}
        />
        {!subject.isControl && (
          <>
            , adjusted by <AdjustmentChoice claimId={claimId} adjustment={adjustment} />
          </>
        )}
        .
      </Box>
      <Lines {...props} ordered={ordered.slice(0, count)} all={lines} />
      {ordered.length > count && (
        <QuietButton type="button" onClick={() => setCount(count + AT_ONCE)}>
          {`Show more of the ${formatCount(ordered.length - count)} others`}
        </QuietButton>
      )}
      {tested > 1 && <Note>{adjustmentWords(adjustment, tested, subject.level, what)}</Note>}
      {between && <Note>{betweenWords(between, what, subject.unit)}</Note>}
      {alike && <Note color="warning">{alike}</Note>}
      {claimed.length === 0 && <Note>The claim has no value yet.</Note>}
    </Main>
  )
}

const ordersFor = (what: Props['what']): Readonly<Record<LineOrder, string>> => {
  const { day, ...others } = LINE_ORDER_WORDS
  return (what === 'lots' ? { day, ...others } : others) as Readonly<Record<LineOrder, string>>
}

function AdjustmentChoice({ claimId, adjustment }: Readonly<{ claimId: string; adjustment: Adjustment }>) {
  const [, start] = useTransition()
  const [chosen, setChosen] = useState(adjustment)
  return (
    <InlineChoice
      label="Adjustment"
      value={chosen}
      words={
        Object.fromEntries(ADJUSTMENTS.map((one) => [one, ADJUSTMENT_WORDS[one]])) as typeof ADJUSTMENT_WORDS
      }
      onChange={(other) => {
        setChosen(other)
        start(async () => void (await keepGroups(claimId, { adjustment: other }, officerHere())))
      }}
    />
  )
}

function Lines({
  claimId,
  what,
  name,
  claimed,
  subject,
  ordered,
  all,
}: Props & Readonly<{ ordered: readonly LotLine[]; all: readonly LotLine[] }>) {
  const display = useMemo(() => displayOfLines(all, subject), [all, subject])
  const shown = useMemo(() => shownLines(ordered, subject, display), [ordered, subject, display])
  const picture = useMemo(() => {
    const inScale = (value: number | undefined) => (value === undefined ? undefined : scaled(value, display))
    const bars = ordered.map(({ estimate, interval }) => ({
      estimate: inScale(estimate),
      lower: inScale(interval?.lower),
      upper: inScale(interval?.upper),
    }))
    return groupsLine(
      bars,
      claimed.map((value) => scaled(value, display)),
    )
  }, [ordered, claimed, display])
  const heads = lineHeads(what === 'lots' ? 'lot' : name, subject.isControl)
  const marks = claimed.map((value) =>
    withUnit(formatFull(withoutMadeUpDigits(scaled(value, display))), display.unit),
  )
  return (
    <WideBox label={what === 'lots' ? 'Lots' : 'Groups'}>
      <Table aria-label={what === 'lots' ? 'Lots' : 'Groups'}>
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
          {ordered.map((line, at) => {
            const [label, ...cells] = lineCells(shown[at]!, subject.isControl)
            const against = [line.outcome, line.together].includes('contradicted')
            return (
              <Row key={line.label}>
                {what === 'lots' && <Cell>{line.day ?? 'no day'}</Cell>}
                <Name scope="row">
                  {what === 'groups' && line.label !== '' ? (
                    <GroupLink claimId={claimId} label={line.label} />
                  ) : (
                    label
                  )}
                </Name>
                {cells.map((cell, place) => (
                  <Cell
                    key={heads[place + 1]}
                    fontFamily={place < cells.length - (subject.isControl ? 1 : 2) ? 'mono' : undefined}
                  >
                    <Finding data-mark={cell}>{cell}</Finding>
                  </Cell>
                ))}
                <Cell padding="0">
                  <GroupBar
                    bar={picture.bars[at]}
                    x={picture.x}
                    claimed={claimed.map((value) => scaled(value, display))}
                    isAgainst={against}
                  />
                </Cell>
              </Row>
            )
          })}
        </tbody>
      </Table>
    </WideBox>
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
function GroupLink({ claimId, label }: Readonly<{ claimId: string; label: string }>) {
  const [isRunning, start] = useTransition()
  return (
    <Plain
      type="button"
      disabled={isRunning}
      title="Its own workbench, with these rows kept"
      onClick={() => start(async () => void (await openGroup(claimId, label, officerHere())))}
    >
      {label}
    </Plain>
  )
}

/** What is said where nothing can be compared yet. */
export function NothingCompared({
  title,
  message,
  caseId,
  claimId,
  children,
}: Readonly<{
  title: string
  message: string
  caseId: string
  claimId: string
  children?: React.ReactNode
}>) {
  return (
    <Main maxWidth="960px" marginInline="auto" padding="28px 24px 64px">
      <PageTitle>{title}</PageTitle>
      {children}
      <Note>{message}</Note>
      <Note>
        <TextLink href={`/cases/${caseId}/claims/${claimId}`} color="accent">
          Back to the claim
        </TextLink>
      </Note>
    </Main>
  )
}
