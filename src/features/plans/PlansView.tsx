'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { useState } from 'react'
import { R87 } from '@/claims/terms/controlPlan'
import type { Problem } from '@/claims/terms/outcome'
import type { RegisteredPlan } from '@/desk/controlPlan'
import { readPlanJson, textsOfPlan } from '@/intake/readControlPlan'
import { instantWords } from '@/words/en/trailWords'
import { QuietButton } from '@/ui/Button'
import { FileButton } from '@/ui/FileButton'
import { Main } from '@/ui/Main'
import { PageTitle } from '@/ui/PageTitle'
import { type Editing, PlanForm, Row } from './PlanForm'
import { ExportButton, PlanShown } from './PlanShown'

const Item = chakra('li', {
  base: { borderTop: '1px solid', borderColor: 'rule', paddingBlock: '12px', _first: { borderTop: 0 } },
})
/** The office's control plans: by which rules a net content is controlled. */
export function PlansView({ plans }: Readonly<{ plans: readonly RegisteredPlan[] }>) {
  const [editing, setEditing] = useState<Editing>()
  const [problem, setProblem] = useState<Problem>()
  const begin = (next: Editing | undefined) => {
    setEditing(next)
    setProblem(undefined)
  }
  const bringIn = async (chosen: File) => {
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
          <PlanShown plan={R87} />
          <Row>
            <QuietButton
              type="button"
              onClick={() =>
                begin({
                  texts: { ...textsOfPlan(R87), name: '', source: '', isFromMemory: false },
                  isRetired: false,
                })
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
              <Registered
                own={own}
                onChange={() => begin({ id: own.id, texts: textsOfPlan(own.plan), isRetired: own.isRetired })}
              />
            )}
          </Item>
        ))}
      </ul>
      {editing && editing.id === undefined ? (
        <PlanForm key={JSON.stringify(editing)} editing={editing} onDone={() => begin(undefined)} />
      ) : (
        <Row>
          <FileButton
            label="File of a control plan"
            accept=".json,application/json"
            onFile={(file) => void bringIn(file)}
          >
            Bring in a plan (JSON)
          </FileButton>
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

/** A plan of the office as it stands, and who wrote it so. */
function Registered({ own, onChange }: Readonly<{ own: RegisteredPlan; onChange: () => void }>) {
  const { plan, isRetired, changedAt, changedBy } = own
  return (
    <>
      <PlanShown plan={plan} isRetired={isRetired} />
      <Box color="quiet" fontSize="13px" marginTop="4px">
        As of {instantWords(changedAt)}
        {changedBy && `, by ${changedBy}`}.
      </Box>
      <Row>
        <QuietButton type="button" aria-label={`Change ${plan.name}`} onClick={onChange}>
          Change
        </QuietButton>
        <ExportButton plan={plan} />
      </Row>
    </>
  )
}
