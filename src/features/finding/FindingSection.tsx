'use client'

import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import { memo, type ReactNode, useMemo } from 'react'
import { withAllPacks } from '@/answers/claim'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { useAnswer } from '@/ui/workbench/useAnswer'
import type { CensusResult, ContentResult } from '@/claims/checkAnswer'
import type { CheckResult } from '@/claims/result'
import { NOTHING_TOLD, type TrailTold } from '@/desk/trail/told'
import { changedAfterWords } from '@/words/en/trailWords'
import { openConditions, unanswered } from '@/words/en/conditionWords'
import { CopyButton } from '@/ui/CopyButton'
import { Section } from '@/ui/Section'
import { Computed } from '@/ui/workbench/Computed'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { Ways } from '@/ui/workbench/Ways'
import { PlanKept } from '@/ui/workbench/PlanKept'
import { BothResults } from './BothResults'
import { ItemsLine } from './ItemsLine'
import { OutcomeHeading } from './OutcomeHeading'
import { Remarks } from './Remarks'
import { Beside } from './Beside'
import { useTold } from './useTold'
import { useFindingWords } from './useFindingWords'

type Controlled = NonNullable<ReturnType<typeof useWorkbench>['control']>

const Note = chakra('p', { base: { marginTop: '8px', maxWidth: '72ch' } })
const Sentence = chakra('p', {
  base: { fontFamily: 'heading', fontSize: '18px', lineHeight: '1.45', maxWidth: '64ch' },
})
const Warning = chakra('li', { base: { color: 'warning', marginTop: '4px' } })

/** The finding, its reasons, what it does not say, what is in doubt, and its signature. */
export function FindingSection({
  number,
  closing,
  byTrail = NOTHING_TOLD,
}: Readonly<{
  number: number
  /** What becomes of it: how it is signed, or put into a case. */
  closing: ReactNode
  /** What is to be told of the trail, as the page was read. */
  byTrail?: TrailTold
}>) {
  const { claimId, census, control } = useWorkbench()
  const { plan, changedAfter } = useTold(claimId, byTrail)
  const whole = census ?? control
  return (
    <Section id="finding" number={number} title="Finding">
      {whole ? <Untested finding={whole.result.finding} control={control} /> : <Tested />}
      {plan && <PlanKept plan={plan} />}
      {changedAfter.length > 0 && <Note>{changedAfterWords(changedAfter)}</Note>}
      <Remarks />
      {closing}
    </Section>
  )
}

const Tested = memo(function Tested() {
  return (
    <Computed>
      {({ document, result }) => (
        <>
          <OutcomeHeading />
          <Words />
          <Ways result={result} arrangement="beside" />
          <Note>{result.finding.limits}</Note>
          <ItemsLine document={document} result={result} />
          {result.finding.items?.map((sentence) => (
            <Note key={sentence}>{sentence}</Note>
          ))}
          <Beside result={result} />
          {result.finding.basis && <Note>{result.finding.basis}</Note>}
          <InDoubt result={result} />
          <BothResults />
          <ul>
            {result.warnings.map(({ code, message }) => (
              <Warning key={code}>{message}</Warning>
            ))}
          </ul>
        </>
      )}
    </Computed>
  )
})

/** What is known of a lot that was measured whole, or what a control comes to. */
function Untested({
  finding,
  control,
}: Readonly<{
  finding: CensusResult['finding'] | ContentResult['finding']
  control: Controlled | undefined
}>) {
  return (
    <>
      <OutcomeHeading />
      <Sentence>{finding.sentence}</Sentence>
      <Note>{finding.limits}</Note>
      {finding.basis && <Note>{finding.basis}</Note>}
      {control && <WithEverything document={control.document} />}
      <Flex gap="12px" marginTop="8px">
        <CopyButton text={`${finding.sentence} ${finding.limits}`}>Copy the finding</CopyButton>
      </Flex>
      <ul>
        {control?.result.warnings.map(({ code, message }) => (
          <Warning key={code}>{message}</Warning>
        ))}
      </ul>
    </>
  )
}

/** What a control comes to with the packs put back that are set aside: both are reported. */
function WithEverything({ document }: Pick<Controlled, 'document'>) {
  const everything = useMemo(() => withAllPacks(document), [document])
  const answer = useAnswer(everything).answered?.answer
  if (!everything || !answer) return null
  return (
    <Note>
      With everything that is set aside:{' '}
      {answer.ok
        ? `${OUTCOME_WORDS[answer.finding.outcome].toLowerCase()}. ${answer.finding.sentence}`
        : answer.error.message}
    </Note>
  )
}

function Words() {
  const words = useFindingWords()
  if (!words) return null
  return (
    <>
      <Sentence>{words.sentence}</Sentence>
      <Note>{words.effect}</Note>
      <Flex gap="12px" marginTop="8px">
        <CopyButton text={`${words.sentence} ${words.effect} (${words.figures})`}>
          Copy the finding
        </CopyButton>
      </Flex>
    </>
  )
}

/** Conditions that are not met, and what nobody has answered. */
function InDoubt({ result }: Readonly<{ result: CheckResult }>) {
  const { first, second } = useWorkbench()
  const open = openConditions(result.conditions)
  const questions = [first, second].flatMap((source) =>
    source ? unanswered(source.sample.draft, second ? source.which : undefined) : [],
  )
  return (
    <>
      {open && <Note>Conditions that are open: {open}.</Note>}
      {questions.length > 0 && <Note>Not answered: {[...new Set(questions)].join(' ')}</Note>}
    </>
  )
}
