'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { useDeferredValue } from 'react'
import type { CheckResult } from '@/claims/result'
import {
  conditionLines,
  CONDITION_NAMES,
  conditionStateWords,
  SOURCE_WORDS,
  STATED,
} from '@/words/en/conditionWords'
import { Figure } from '@/ui/figures/Figure'
import { Section } from '@/ui/Section'
import { parameterOf } from '@/claims/all'
import { isControlled } from '@/desk/claimDraft'
import { Computed } from '@/ui/workbench/Computed'
import { useFormats } from '@/ui/workbench/useFormats'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { ConditionPicture } from './ConditionPicture'
import { SampleQuestions } from './SampleQuestions'

const Row = chakra('li', {
  base: {
    display: 'grid',
    gridTemplateColumns: { base: '1fr', sm: '120px 84px 1fr' },
    gap: '2px 16px',
    paddingBlock: '8px',
    alignItems: 'baseline',
    borderTop: '1px solid',
    borderColor: 'rule',
    _first: { borderTop: 0 },
  },
})
const State = chakra('span', {
  base: {
    fontWeight: '600',
    color: 'warning',
    '&[data-state=met]': { color: 'finding.supported' },
    '&[data-state=unknown], &[data-state=no-sign]': { color: 'quiet' },
    '&[data-state=not-met]': { color: 'finding.contradicted' },
  },
})

/** What the test rests on: what only a person can say, and what the figures tell. */
export function ConditionsSection({ number }: Readonly<{ number: number }>) {
  const { draft, first, second, estimated, control } = useWorkbench()
  // An exposure is of no lot.
  const hasLot = parameterOf(draft.parameter).sample !== 'events'
  return (
    <Section id="conditions" number={number} title="Conditions">
      <SampleQuestions hasLot={hasLot} source={first} isOfTwo={second !== undefined} />
      {second && second.sample.id !== first.sample.id && <SampleQuestions hasLot source={second} isOfTwo />}
      {estimated && <ConditionList conditions={estimated.conditions as Shown} />}
      {control ? (
        <ConditionList conditions={control.result.conditions as Shown} />
      ) : (
        <Computed>{({ result }) => <ConditionList conditions={result.conditions} />}</Computed>
      )}
    </Section>
  )
}

type Shown = CheckResult['conditions']

function ConditionList({ conditions }: Readonly<{ conditions: Shown }>) {
  return (
    <ul aria-label="Conditions">
      {conditions.map((condition) => (
        <ConditionRow key={`${condition.name} ${condition.of ?? ''}`} condition={condition} />
      ))}
    </ul>
  )
}

function ConditionRow({ condition }: Readonly<{ condition: CheckResult['conditions'][number] }>) {
  const { draft, first, second } = useWorkbench()
  const { plain } = useFormats()
  const { name, of, code, state, sentence } = condition
  const source = of === 'second' ? second : first
  const evidence = useDeferredValue(source?.evidence)
  return (
    <Row>
      <span>
        {CONDITION_NAMES[name]}
        {of && <Box color="quiet">{SOURCE_WORDS[of]}</Box>}
      </span>
      <State data-state={STATED.has(code) ? 'no-sign' : state}>{conditionStateWords(condition)}</State>
      <div>
        <Box color="quiet">{sentence}</Box>
        <Box fontSize="13px" color="quiet" marginTop="2px">
          {conditionLines(condition, plain).map((line, at) => (
            <span key={line.name}>
              {at > 0 && ' · '}
              {line.name} <Figure {...line} />
            </span>
          ))}
        </Box>
        {/* The totals of groups are no readings, and what was weighed with its package is no content. */}
        {evidence && !isControlled(draft) && code !== 'shape-of-groups' && (
          <ConditionPicture name={name} of={of} evidence={evidence} unit={first.draft.unit} />
        )}
      </div>
    </Row>
  )
}
