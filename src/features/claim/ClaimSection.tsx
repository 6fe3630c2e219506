'use client'

import { Section } from '@/ui/Section'
import { isControlled } from '@/desk/claimDraft'
import type { RegisteredPlan } from '@/desk/controlPlan'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { ClaimSentence } from './ClaimSentence'
import { ControlSentence } from './ControlSentence'
import { HypothesesView } from './HypothesesView'
import { TestLevels } from './TestLevels'
import { WordingGuess } from './WordingGuess'

/** What is claimed, in words that can be changed, and what follows from them. */
export function ClaimSection({
  number,
  plans,
}: Readonly<{ number: number; plans: readonly RegisteredPlan[] }>) {
  const { draft } = useWorkbench()
  if (isControlled(draft))
    return (
      <Section id="claim" number={number} title="Claim">
        <ControlSentence plans={plans} />
      </Section>
    )
  return (
    <Section id="claim" number={number} title="Claim">
      <ClaimSentence />
      <WordingGuess />
      <HypothesesView />
      <TestLevels />
    </Section>
  )
}
