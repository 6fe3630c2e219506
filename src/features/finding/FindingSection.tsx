'use client'

import { chakra } from '@chakra-ui/react'
import { CONDITION_NAMES, CONDITION_STATES } from '@/core/wording/conditionWords'
import { Section } from '@/ui/Section'
import { NothingComputed } from '@/ui/workbench/NothingComputed'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { FindingSentence } from './FindingSentence'

const Note = chakra('p', { base: { marginTop: '8px', color: 'quiet', maxWidth: '72ch' } })
const Warning = chakra('li', { base: { color: 'warning', marginTop: '4px' } })

/** The finding, what it does not say, and the conditions that it leaves open. */
export function FindingSection({ number }: Readonly<{ number: number }>) {
  const { answer } = useWorkbench()
  if (!answer?.ok) {
    return (
      <Section id="finding" number={number} title="Finding">
        <NothingComputed />
      </Section>
    )
  }
  const open = answer.conditions.filter(({ state }) => state !== 'met')
  return (
    <Section id="finding" number={number} title="Finding">
      <FindingSentence />
      <Note>{answer.finding.limits}</Note>
      {open.length > 0 && (
        <Note>
          Conditions that are open:{' '}
          {open
            .map(({ name, state }) => `${CONDITION_NAMES[name]} (${CONDITION_STATES[state].toLowerCase()})`)
            .join(', ')}
          .
        </Note>
      )}
      <ul>
        {answer.warnings.map(({ code, message }) => (
          <Warning key={code}>{message}</Warning>
        ))}
      </ul>
    </Section>
  )
}
