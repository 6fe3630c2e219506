'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { useState, useTransition } from 'react'
import type { LotLine } from '@/answers/lots'
import { type Adjustment, ADJUSTMENTS } from '@/statistics/adjust/adjust'
import type { Homogeneity } from '@/statistics/describe/homogeneity'
import { LINE_ORDER_WORDS, LINE_ORDERS, type LineOrder, orderedLines } from '@/words/en/groupLines'
import {
  ADJUSTMENT_WORDS,
  adjustmentWords,
  alikeWords,
  betweenWords,
  CONTROL_OF_GROUPS,
  groupsHeadline,
} from '@/words/en/groupsWords'
import { formatCount } from '@/words/figures'
import type { ClaimDraft } from '@/desk/claimDraft'
import { claimedIn, subjectOfGroups } from '@/intake/groupSubject'
import { QuietButton } from '@/ui/Button'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { Main } from '@/ui/Main'
import { officerHere } from '@/ui/officer'
import { PageTitle } from '@/ui/PageTitle'
import { TextLink } from '@/ui/TextLink'
import { useView } from '@/ui/workbench/useView'
import { keepGroups } from './actions'
import { GroupLines, type What } from './GroupLines'

const Note = chakra('p', { base: { marginTop: '10px', maxWidth: '84ch' } })
/** So many lines are shown at first, and more where they are asked for. */
const AT_ONCE = 500

export type Compared = Readonly<{ lines: readonly LotLine[]; between?: Homogeneity }>

type Props = Readonly<{
  caseId: string
  claimId: string
  /** The claim in a line. */
  title: string
  what: What
  /** What the lines are named by: a column, or the lot. */
  name: string
  draft: ClaimDraft
  /** The code list of the column. */
  codes?: string | undefined
  compared: Compared
  children?: React.ReactNode
}>

/** A claim held against each of many groups or lots: a line each, with its interval on the claim's own scale. */
export function GroupsView(props: Props) {
  const { claimId, title, what, name, draft, codes, compared, children } = props
  const { lines, between } = compared
  const { adjustment } = draft
  const subject = subjectOfGroups(draft, codes)
  const claimed = claimedIn(draft)
  const usual: readonly [LineOrder, ...LineOrder[]] = what === 'lots' ? ['day', ...LINE_ORDERS] : LINE_ORDERS
  const [order, setOrder] = useView('order', usual)
  const [count, setCount] = useState(AT_ONCE)
  const ordered = orderedLines(lines, order)
  const shown = ordered.slice(0, count)
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
      <GroupLines {...{ claimId, what, name, claimed, subject }} ordered={shown} all={lines} />
      {ordered.length > count && (
        <QuietButton type="button" onClick={() => setCount(count + AT_ONCE)}>
          {`Show more of the ${formatCount(ordered.length - count)} others`}
        </QuietButton>
      )}
      {tested > 1 && <Note>{adjustmentWords(adjustment, tested, subject.level, what)}</Note>}
      {what === 'groups' && subject.isControl && <Note>{CONTROL_OF_GROUPS}</Note>}
      {between && <Note>{betweenWords(between, what, subject.unit)}</Note>}
      {alike && <Note color="warning">{alike}</Note>}
      {claimed.length === 0 && <Note>The claim has no value yet.</Note>}
    </Main>
  )
}

const ordersFor = (what: What): Readonly<Record<LineOrder, string>> => {
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
