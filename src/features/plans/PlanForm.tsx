'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { useId, useState } from 'react'
import type { Problem } from '@/claims/terms/outcome'
import { type PlanTexts, readPlanTexts } from '@/intake/readControlPlan'
import { Button, QuietButton } from '@/ui/Button'
import { officerHere } from '@/ui/officer'
import { TextBox } from '@/ui/TextBox'
import { savePlan } from './actions'

const Label = chakra('label', {
  base: { display: 'block', color: 'quiet', fontSize: '13px', marginTop: '8px' },
})
const Lines = chakra('textarea', {
  base: {
    display: 'block',
    width: '100%',
    minHeight: '96px',
    fontFamily: 'mono',
    fontSize: '14px',
    padding: '6px 8px',
    bg: 'surface',
    color: 'ink',
    border: '1px solid',
    borderColor: 'edge',
    borderRadius: 'md',
  },
})
export const Row = chakra('div', {
  base: { display: 'flex', gap: '10px', flexWrap: 'wrap', marginTop: '8px' },
})

/** What is being changed: the plan of this identifier, or a new one after the pattern of another. */
export type Editing = Readonly<{ id?: string; texts: PlanTexts; isRetired: boolean }>

const FIELDS = [
  ['name', 'Name', 'Control of sacks, office rule 3'],
  ['source', 'Where it is published, or who wrote it', 'Order 12 of the island council, 2024'],
  ['averageLevel', 'Level of the test of the average, one-sided', '0.005'],
  ['otherwiseShare', 'With another number of packs: the share that may be short by more than T', '0.025'],
  ['otherwiseLevel', 'With another number of packs: the level', '0.05'],
] as const
const LISTS = [
  ['sampling', 'Lots: packs taken, and how many may be short by more than T', '100 to 500: 50, 3'],
  ['deficiencies', 'Tolerable deficiency T in g or mL, or in percent of the label', 'up to 50: 9 %'],
  ['rounding', 'T is rounded up to a step of', 'up to 1000: 0.1'],
] as const

/** A control plan as it is typed, a row of each list a line. */
export function PlanForm({ editing, onDone }: Readonly<{ editing: Editing; onDone: () => void }>) {
  const [texts, setTexts] = useState(editing.texts)
  const [isRetired, setRetired] = useState(editing.isRetired)
  const [problem, setProblem] = useState<Problem>()
  const problemId = useId()
  const store = async () => {
    const read = readPlanTexts(texts)
    if (!read.ok) return setProblem(read.problem)
    const { id } = editing
    const saved = await savePlan({
      ...(id ? { id } : {}),
      words: { plan: read.value, isRetired },
      by: officerHere(),
    })
    if (saved.ok) onDone()
    else setProblem(saved.problem)
  }
  return (
    <Box
      role="group"
      aria-label={editing.id ? `Change ${editing.texts.name}` : 'A new control plan'}
      marginTop="8px"
    >
      <PlanFields {...{ texts, setTexts, problem, problemId }} />
      <Row>
        <label>
          <input
            type="checkbox"
            checked={texts.isFromMemory}
            onChange={(event) => setTexts({ ...texts, isFromMemory: event.target.checked })}
          />{' '}
          Written down from memory, to be checked
        </label>
        <label>
          <input type="checkbox" checked={isRetired} onChange={(event) => setRetired(event.target.checked)} />{' '}
          No longer in use
        </label>
      </Row>
      {problem && (
        <Box role="alert" id={problemId} color="finding.contradicted" marginTop="6px">
          {problem.message}
        </Box>
      )}
      <Row>
        <Button type="button" onClick={() => void store()}>
          Keep it
        </Button>
        <QuietButton type="button" onClick={onDone}>
          Leave it as it was
        </QuietButton>
      </Row>
    </Box>
  )
}

/** What a plan is made of, each in a field of its own. */
function PlanFields({
  texts,
  setTexts,
  problem,
  problemId,
}: Readonly<{
  texts: PlanTexts
  setTexts: (texts: PlanTexts) => void
  problem: Problem | undefined
  problemId: string
}>) {
  const set = (field: keyof PlanTexts, value: string) => setTexts({ ...texts, [field]: value })
  const invalid = (field: string) =>
    problem && problem.path.split(/[.[]/).includes(field)
      ? { 'aria-invalid': true, 'aria-describedby': problemId }
      : {}
  return (
    <>
      {FIELDS.map(([field, name, example]) => (
        <Label key={field}>
          {name}
          <TextBox
            display="block"
            width="100%"
            color="ink"
            value={texts[field]}
            placeholder={example}
            {...invalid(field)}
            onChange={(event) => set(field, event.target.value)}
          />
        </Label>
      ))}
      {LISTS.map(([field, name, example]) => (
        <Label key={field}>
          {name}, a row a line such as “{example}”
          <Lines
            value={texts[field]}
            {...invalid(field)}
            onChange={(event) => set(field, event.target.value)}
          />
        </Label>
      ))}
    </>
  )
}
