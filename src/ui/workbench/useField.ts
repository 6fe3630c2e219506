'use client'

import type { ClaimDraft } from '@/desk/claimDraft'
import { problemsId } from '../ProblemLines'
import { useWorkbench } from './WorkbenchProvider'

type IsText<T> = T extends string ? (string extends T ? true : false) : false
type TextField = {
  [K in keyof ClaimDraft]: [IsText<ClaimDraft[K]>] extends [true] ? K : never
}[keyof ClaimDraft]

/** What a control needs to show and change one text of the claim. */
export function useField(field: TextField) {
  const { draft, setField, reading, refusal } = useWorkbench()
  const isUnreadable = reading.problems.some((problem) => problem.field === field)
  const isRefused = refusal?.path.endsWith(`.${field}`) ?? false
  const isInvalid = isUnreadable || isRefused
  return {
    value: draft[field],
    onChange: (value: string) => setField(field, value),
    isInvalid,
    ...(isUnreadable ? { describedBy: problemsId(field) } : {}),
  }
}
