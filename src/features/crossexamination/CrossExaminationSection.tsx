'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import { useDeferredValue } from 'react'
import type { IntervalFigures } from '@/claims/result'
import { isControlled } from '@/desk/claimDraft'
import { NOTHING_TOLD, type TrailTold } from '@/desk/trail/told'
import { inOrder } from '@/claims/crossexamination/crossExamination'
import type { Examined } from '@/claims/crossexamination/question'
import { NOT_CROSS_EXAMINED } from '@/words/en/contentWords'
import { askedWords, remarkWords, turnsAt } from '@/words/en/crossWords'
import { formatCount, formatFull, formatFullPValue, formatPercent, formatPValue } from '@/words/figures'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { QuietButton } from '@/ui/Button'
import { BalanceMark, MARK_COLOUR } from '@/ui/BalanceMark'
import { Cell, Head } from '@/ui/figures/DataTable'
import { Figure } from '@/ui/figures/Figure'
import { Section } from '@/ui/Section'
import { Computed } from '@/ui/workbench/Computed'
import { type Examination, useExamination } from '@/ui/workbench/ExaminationProvider'
import { useReadingName, useStanding } from '@/ui/workbench/useReadingName'
import { shownGap } from '@/words/display'
import { PlanKept } from '@/ui/workbench/PlanKept'
import { useFormats } from '@/ui/workbench/useFormats'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

const Row = chakra('tr', {
  base: { borderTop: '1px solid', borderColor: 'rule', '&[data-stands=false]': { bg: 'surface' } },
})
const Headline = chakra('p', { base: { fontFamily: 'heading', fontSize: '18px' } })
const Scroll = chakra('div', { base: { overflowX: 'auto' } })

/** Would the finding stand if something were otherwise? What turns it comes first. */
export function CrossExaminationSection({
  number,
  byTrail: { plan } = NOTHING_TOLD,
}: Readonly<{ number: number; byTrail?: TrailTold }>) {
  // A table that goes and comes again may do so a moment after the finding.
  const examination = useDeferredValue(useExamination())
  const { draft } = useWorkbench()
  if (isControlled(draft))
    return (
      <Section id="cross-examination" number={number} title="Cross-examination">
        <p>{NOT_CROSS_EXAMINED}</p>
      </Section>
    )
  return (
    <Section id="cross-examination" number={number} title="Cross-examination">
      <Computed>
        {() => (
          <>
            <Progress examination={examination} />
            {plan && <PlanKept plan={plan} isAsked />}
            {examination.answers.length > 0 && <Answers answers={examination.answers} />}
          </>
        )}
      </Computed>
    </Section>
  )
}

function Progress({ examination }: Readonly<{ examination: Examination }>) {
  const { answers, of, isDone, failure, isStopped, stop } = examination
  const words = useStanding(answers)
  if (failure)
    return <Box role="alert">The cross-examination was cut short: {failure}. Load the page again.</Box>
  if (isDone) return <Headline role="status">{words}</Headline>
  const answered = of === 0 ? '' : `, ${answers.length} of ${of} answered`
  return (
    <Flex align="center" gap="12px" color="quiet">
      <span role="status">
        {isStopped ? 'Stopped' : 'Asking'}
        {answered || '…'}
      </span>
      {of > 0 && !isStopped && <progress max={of} value={answers.length} aria-label="Questions answered" />}
      <QuietButton type="button" onClick={() => stop(!isStopped)}>
        {isStopped ? 'Ask all of them' : 'Stop asking'}
      </QuietButton>
    </Flex>
  )
}

function Answers({ answers }: Readonly<{ answers: readonly Examined[] }>) {
  return (
    <Scroll tabIndex={0} role="group" aria-label="Cross-examination, table">
      <chakra.table width="100%" borderCollapse="collapse" marginTop="8px" aria-label="Cross-examination">
        <thead>
          <tr>
            <Head whiteSpace="nowrap" scope="col">
              Would the finding stand if …
            </Head>
            <Head whiteSpace="nowrap" scope="col">
              Finding
            </Head>
            <Head whiteSpace="nowrap" scope="col">
              p-value
            </Head>
            <Head whiteSpace="nowrap" scope="col">
              Interval
            </Head>
          </tr>
        </thead>
        <tbody>
          {inOrder(answers).map((answer) => (
            <AnswerRow key={answer.key} answer={answer} />
          ))}
        </tbody>
      </chakra.table>
    </Scroll>
  )
}

function AnswerRow({ answer }: Readonly<{ answer: Examined }>) {
  const { inUnit, inFull, display } = useFormats()
  const name = useReadingName()
  const { asked, note, outcome, stands, interval, figure, key } = answer
  const { checked } = useWorkbench()
  const turns =
    figure?.kind === 'claimed-value' && checked
      ? turnsAt(figure.value, checked.document.claim.value, inUnit)
      : undefined
  const hasP = answer.pValue !== undefined || answer.logPValue !== undefined
  return (
    <Row data-stands={stands} data-question={key}>
      <Cell>
        … {askedWords(asked, name)}
        {figure && turns && (
          <>
            : {turns.words} <Figure name="It turns at" shown={turns.shown} full={inFull(figure.value)} />
          </>
        )}
        {figure?.kind === 'sample-size' && (
          <>
            : it takes{' '}
            <Figure name="Units needed" shown={formatCount(figure.value)} full={formatFull(figure.value)} />{' '}
            units
          </>
        )}
        {figure?.kind === 'exposure' && (
          <>
            : it takes an exposure of{' '}
            <Figure
              name="Exposure needed"
              shown={formatCount(figure.value)}
              full={formatFull(figure.value)}
            />
          </>
        )}
        {figure?.kind === 'smallest-gap' && (
          <>
            :{' '}
            <Figure
              name="Smallest gap"
              shown={shownGap(figure.value, display)}
              full={formatFull(figure.value)}
            />
          </>
        )}
        {note && <Box color="quiet">{remarkWords(note, name)}</Box>}
      </Cell>
      <Cell>
        {outcome && stands !== undefined && (
          <Flex gap="8px" align="center">
            <BalanceMark mark={outcome} height={18} />
            <Box as="span" color={MARK_COLOUR[outcome]} whiteSpace="nowrap">
              {OUTCOME_WORDS[outcome]}
              {!stands && ', turned'}
            </Box>
          </Flex>
        )}
      </Cell>
      <Cell>
        {hasP && (
          <Figure
            name="p-value"
            shown={formatPValue(answer.pValue, answer.significanceLevel ?? 1)}
            full={formatFullPValue(answer)}
          />
        )}
      </Cell>
      <Cell>{interval && <Interval interval={interval} />}</Cell>
    </Row>
  )
}

/** With its level where that is another one than the finding's. */
function Interval({ interval }: Readonly<{ interval: IntervalFigures }>) {
  const { checked } = useWorkbench()
  const { inUnit, inFull } = useFormats()
  const { lower, upper, level } = interval
  const end = (name: string, value: number | undefined) =>
    value !== undefined && <Figure name={name} shown={inUnit(value)} full={inFull(value)} />
  return (
    <chakra.span fontSize="13px">
      {end('Lower end', lower)}
      {lower !== undefined && upper !== undefined && ' to '}
      {end('Upper end', upper)}
      {level !== checked?.result.interval?.level && <Box color="quiet">at {formatPercent(level)}</Box>}
    </chakra.span>
  )
}
