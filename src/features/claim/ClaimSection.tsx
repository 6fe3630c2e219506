'use client'

import { Section } from '@/ui/Section'
import { ClaimSentence } from './ClaimSentence'
import { HypothesesView } from './HypothesesView'
import { TestLevels } from './TestLevels'

/** What is claimed, in words that can be changed, and what follows from them. */
export function ClaimSection({ number }: Readonly<{ number: number }>) {
  return (
    <Section id="claim" number={number} title="Claim">
      <ClaimSentence />
      <HypothesesView />
      <TestLevels />
    </Section>
  )
}
