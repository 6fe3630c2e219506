'use client'

import type { ClaimDraft } from '@/core/claim/draft'
import { problemsId } from './FieldProblems'
import { useWorkbench } from './WorkbenchProvider'

type TextField = { [K in keyof ClaimDraft]: string extends ClaimDraft[K] ? K : never }[keyof ClaimDraft]

/** What a control needs to show and change one text of the claim. */
export function useField(field: TextField) {
  const { draft, setField, reading, answer } = useWorkbench()
  const isUnreadable = reading.problems.some((problem) => problem.field === field)
  const isRefused = answer?.ok === false && answer.error.path.endsWith(`.${field}`)
  const isInvalid = isUnreadable || isRefused
  return {
    value: draft[field],
    onChange: (value: string) => setField(field, value),
    isInvalid,
    ...(isUnreadable ? { describedBy: problemsId(field) } : {}),
  }
}
