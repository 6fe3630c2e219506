'use client'

import { Box, chakra } from '@chakra-ui/react'
import { useId, useRef, useState } from 'react'
import { type ControlPlan, R87 } from '@/claims/terms/controlPlan'
import { tolerableDeficiency } from '@/claims/terms/controlPlan'
import type { Problem } from '@/claims/terms/outcome'
import type { RegisteredPlan } from '@/desk/controlPlan'
import { type PlanTexts, readPlanJson, readPlanTexts, textsOfPlan } from '@/intake/readControlPlan'
import { planSource, planWords } from '@/words/en/contentWords'
import { formatFull } from '@/words/figures'
import { instantWords } from '@/words/en/trailWords'
import { Button, QuietButton } from '@/ui/Button'
import { Main } from '@/ui/Main'
import { officerHere } from '@/ui/officer'
import { PageTitle } from '@/ui/PageTitle'
import { TextBox } from '@/ui/TextBox'
import { savePlan } from './actions'

const Label = chakra('label', {
  base: { display: 'block', color: 'quiet', fontSize: '13px', marginTop: '8px' },
})
const Item = chakra('li', {
  base: { borderTop: '1px solid', borderColor: 'rule', paddingBlock: '12px', _first: { borderTop: 0 } },
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
const Row = chakra('div', { base: { display: 'flex', gap: '10px', flexWrap: 'wrap', marginTop: '8px' } })

/** What is being changed: the plan of this identifier, or a new one after the pattern of another. */
type Editing = Readonly<{ id?: string; texts: PlanTexts; isRetired: boolean }>

/** The office's control plans: by which rules a net content is controlled. */
export function PlansView({ plans }: Readonly<{ plans: readonly RegisteredPlan[] }>) {
  const [editing, setEditing] = useState<Editing>()
  const [problem, setProblem] = useState<Problem>()
  const file = useRef<HTMLInputElement>(null)
  const begin = (next: Editing | undefined) => {
    setEditing(next)
    setProblem(undefined)
  }
  const bringIn = async (chosen: File | undefined) => {
    if (!chosen) return
    const read = readPlanJson(await chosen.text())
    if (read.ok) begin({ texts: textsOfPlan(read.value), isRetired: false })
    else setProblem(read.problem)
  }
  return (
    <Main maxWidth="960px" marginInline="auto" padding="28px 24px 64px">
      <PageTitle>Control plans</PageTitle>
      <Box as="p" marginTop="8px" maxWidth="72ch">
        By these rules a net content is controlled. A claim takes a plan over as it stands on the day it is
        chosen, and its finding carries it; what is changed here afterwards leaves it as it was.
      </Box>
      <ul aria-label="Control plans">
        <Item>
          <Shown plan={R87} />
          <Row>
            <QuietButton
              type="button"
              onClick={() =>
                begin({ texts: { ...textsOfPlan(R87), name: '', isFromMemory: false }, isRetired: false })
              }
            >
              Write a plan after this one
            </QuietButton>
            <ExportButton plan={R87} />
          </Row>
        </Item>
        {plans.map((own) => (
          <Item key={own.id}>
            {editing?.id === own.id ? (
              <PlanForm editing={editing} onDone={() => begin(undefined)} />
            ) : (
              <>
                <Shown plan={own.plan} isRetired={own.isRetired} />
                <Box color="quiet" fontSize="13px" marginTop="4px">
                  As of {instantWords(own.changedAt)}
                  {own.changedBy && `, by ${own.changedBy}`}.
                </Box>
                <Row>
                  <QuietButton
                    type="button"
                    aria-label={`Change ${own.plan.name}`}
                    onClick={() =>
                      begin({ id: own.id, texts: textsOfPlan(own.plan), isRetired: own.isRetired })
                    }
                  >
                    Change
                  </QuietButton>
                  <ExportButton plan={own.plan} />
                </Row>
              </>
            )}
          </Item>
        ))}
      </ul>
      {editing && editing.id === undefined ? (
        <PlanForm editing={editing} onDone={() => begin(undefined)} />
      ) : (
        <Row>
          <QuietButton type="button" onClick={() => file.current?.click()}>
            Bring in a plan (JSON)
          </QuietButton>
          <input
            ref={file}
            type="file"
            accept=".json,application/json"
            aria-label="File of a control plan"
            hidden
            onChange={(event) => {
              void bringIn(event.target.files?.[0])
              event.target.value = ''
            }}
          />
        </Row>
      )}
      {problem && (
        <Box role="alert" color="finding.contradicted" marginTop="6px">
          {problem.message}
        </Box>
      )}
    </Main>
  )
}

/** Quantities whose tolerable deficiency shows how the table is read. */
const EXAMPLES = [50, 250, 500, 1000, 5000, 15_000]

function Shown({ plan, isRetired = false }: Readonly<{ plan: ControlPlan; isRetired?: boolean }>) {
  const examples = EXAMPLES.flatMap((nominal) => {
    const deficiency = tolerableDeficiency(plan, nominal)
    return deficiency === undefined ? [] : [`${formatFull(nominal)}: ${formatFull(deficiency)}`]
  })
  return (
    <>
      <Box as="h2" fontSize="16px" fontWeight="600">
        {plan.name}
        {isRetired && ' (no longer in use)'}
      </Box>
      <Box color={plan.isFromMemory ? 'warning' : 'quiet'}>{planSource(plan)}</Box>
      <Box as="p" marginTop="4px" maxWidth="84ch">
        {planWords(plan)}
      </Box>
      <Box color="quiet">T in g or mL by the label: {examples.join(' · ')}</Box>
    </>
  )
}

function ExportButton({ plan }: Readonly<{ plan: ControlPlan }>) {
  const save = () => {
    const address = URL.createObjectURL(
      new Blob([`${JSON.stringify(plan, null, 2)}\n`], { type: 'application/json' }),
    )
    const link = document.createElement('a')
    link.href = address
    link.download = `${plan.name.replaceAll(/[^\p{L}\p{N} -]/gu, '').trim() || 'control plan'}.json`
    link.click()
    URL.revokeObjectURL(address)
  }
  return (
    <QuietButton type="button" aria-label={`Export ${plan.name}`} onClick={save}>
      Export (JSON)
    </QuietButton>
  )
}

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

function PlanForm({ editing, onDone }: Readonly<{ editing: Editing; onDone: () => void }>) {
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
  const set = (field: keyof PlanTexts, value: string) => setTexts({ ...texts, [field]: value })
  const invalid = (field: string) =>
    problem && problem.path.split(/[.[]/).includes(field)
      ? { 'aria-invalid': true, 'aria-describedby': problemId }
      : {}
  return (
    <Box
      role="group"
      aria-label={editing.id ? `Change ${editing.texts.name}` : 'A new control plan'}
      marginTop="8px"
    >
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
