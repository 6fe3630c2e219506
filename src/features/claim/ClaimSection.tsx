'use client'

import { Section } from '@/ui/Section'
import { ClaimSentence } from './ClaimSentence'
import { HypothesesView } from './HypothesesView'
import { TestLevels } from './TestLevels'
import { WordingGuess } from './WordingGuess'

/** What is claimed, in words that can be changed, and what follows from them. */
export function ClaimSection({ number }: Readonly<{ number: number }>) {
  return (
    <Section id="claim" number={number} title="Claim">
      <ClaimSentence />
      <WordingGuess />
      <HypothesesView />
      <TestLevels />
    </Section>
  )
}
