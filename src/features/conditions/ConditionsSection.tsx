'use client'

import { chakra } from '@chakra-ui/react'
import { CONDITION_NAMES, CONDITION_STATES } from '@/core/wording/conditionWords'
import { Section } from '@/ui/Section'
import { NothingComputed } from '@/ui/workbench/NothingComputed'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

const Row = chakra('li', {
  base: {
    display: 'grid',
    gridTemplateColumns: { base: '1fr', sm: '130px 84px 1fr' },
    gap: '2px 16px',
    paddingBlock: '6px',
    alignItems: 'baseline',
  },
})
const State = chakra('span', {
  base: {
    fontWeight: '600',
    color: 'warning',
    '&[data-state=met]': { color: 'finding.supported' },
    '&[data-state=unknown]': { color: 'quiet' },
    '&[data-state=not-met]': { color: 'finding.contradicted' },
  },
})

/** What the test rests on, as far as the figures can tell. */
export function ConditionsSection({ number }: Readonly<{ number: number }>) {
  const { answer } = useWorkbench()
  return (
    <Section id="conditions" number={number} title="Conditions">
      {answer?.ok ? (
        <ul>
          {answer.conditions.map(({ name, state, sentence }) => (
            <Row key={name}>
              <span>{CONDITION_NAMES[name]}</span>
              <State data-state={state}>{CONDITION_STATES[state]}</State>
              <chakra.span color="quiet">{sentence}</chakra.span>
            </Row>
          ))}
        </ul>
      ) : (
        <NothingComputed />
      )}
    </Section>
  )
}
