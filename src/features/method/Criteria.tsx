'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import { useMemo, useState } from 'react'
import { isControl } from '@/claims/checkAnswer'
import type { ContentFigures } from '@/claims/terms/contentResult'
import { samplingFor } from '@/claims/terms/controlPlan'
import {
  OPERATING_HEADS,
  operatingRows,
  operatingWords,
  planWords,
  toPassWords,
} from '@/words/en/contentWords'
import { formatCount } from '@/words/figures'
import { DrawnUnits } from '@/ui/DrawnUnits'
import { CriteriaTable } from '@/ui/figures/CriteriaTable'
import { DataTable } from '@/ui/figures/DataTable'
import { NothingComputed } from '@/ui/workbench/NothingComputed'
import { PacksLine } from '@/ui/workbench/PacksLine'
import { useAnswer } from '@/ui/workbench/useAnswer'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

const Note = chakra('p', { base: { marginTop: '8px', maxWidth: '72ch' } })

/** The three criteria of a control side by side, each with its figures and its mark, and what the plan can find. */
export function Criteria() {
  const { control, first } = useWorkbench()
  if (!control) return <NothingComputed />
  const { content } = control.result
  const nameOf = (index: number) => `row ${formatCount(first.evidence.rows[index]! + 1)}`
  const toPass = toPassWords(content)
  return (
    <>
      <p>{planWords(content.controlPlan)}</p>
      <PacksLine />
      <CriteriaTable content={content} nameOf={nameOf} />
      {toPass && <Note>{toPass}</Note>}
      <Sampling content={content} lotSize={control.document.content.lotSize} />
      <Operating />
    </>
  )
}

/** Which packs of the lot the plan asks for. */
function Sampling({ content, lotSize }: Readonly<{ content: ContentFigures; lotSize: number | undefined }>) {
  const row = lotSize === undefined ? undefined : samplingFor(content.controlPlan, lotSize)
  return row && lotSize !== undefined ? <DrawnUnits draw={{ lotSize, count: row.n }} noun="pack" /> : null
}

/** How often a lot that is short passes: worked out where it is asked for. */
function Operating() {
  const [isOpen, setOpen] = useState(false)
  return (
    <details onToggle={(event) => setOpen(event.currentTarget.open)}>
      <chakra.summary cursor="pointer" marginTop="12px">
        How often a lot that is short passes
      </chakra.summary>
      {isOpen && <OperatingTable />}
    </details>
  )
}

function OperatingTable() {
  const { control } = useWorkbench()
  const asked = useMemo(
    () => control && { content: { ...control.document.content, operating: {} } },
    [control],
  )
  const { answered } = useAnswer(asked)
  const answer = answered?.answer
  if (!answer) return <p>Computing…</p>
  if (!isControl(answer) || !answer.content.operating)
    return <p>It can’t be worked out: these packs show no scatter to work with.</p>
  return (
    <>
      <DataTable
        label="How often a lot passes"
        heads={OPERATING_HEADS}
        rows={operatingRows(answer.content)}
      />
      <Note>{operatingWords(answer.content)}</Note>
    </>
  )
}
