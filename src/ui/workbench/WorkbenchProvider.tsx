'use client'

import { createContext, type ReactNode, useCallback, useContext, useMemo, useState } from 'react'
import { check } from '@/core/check/check'
import type { CheckAnswer } from '@/core/check/result'
import type { Claim } from '@/core/claim/claim'
import type { ClaimDraft } from '@/core/claim/draft'
import { deriveHypotheses, type Hypotheses } from '@/core/claim/hypotheses'
import type { Outcome } from '@/core/outcome'
import { type DraftReading, readDraft } from '@/intake/readDraft'
import { type Saving, useSaving } from './useSaving'

type Workbench = Readonly<{
  draft: ClaimDraft
  setField: <K extends keyof ClaimDraft>(field: K, value: ClaimDraft[K]) => void
  reading: DraftReading
  /** What follows from the claim's words alone; absent while it has no value. */
  hypotheses: (Outcome<Hypotheses> & Readonly<{ claim: Claim }>) | undefined
  /** Absent while there is nothing to compute with. */
  answer: CheckAnswer | undefined
  saving: Saving
}>

const Context = createContext<Workbench | null>(null)

/** One claim as it is being worked on: every section reads it here, and what is typed is checked and stored at once. */
export function WorkbenchProvider({
  claimId,
  draft: first,
  revision,
  children,
}: Readonly<{ claimId: string; draft: ClaimDraft; revision: number; children: ReactNode }>) {
  const [draft, setDraft] = useState(first)
  const saving = useSaving({ claimId, draft, revision, setDraft })
  const setField = useCallback<Workbench['setField']>(
    (field, value) => setDraft((known) => ({ ...known, [field]: value })),
    [],
  )
  const reading = useMemo(() => readDraft(draft), [draft])
  const hypotheses = useMemo(() => {
    const { claim } = reading
    return claim && { ...deriveHypotheses(claim, 'auto'), claim }
  }, [reading])
  const answer = useMemo(() => reading.document && check(reading.document), [reading])
  const workbench = useMemo(
    () => ({ draft, setField, reading, hypotheses, answer, saving }),
    [draft, setField, reading, hypotheses, answer, saving],
  )
  return <Context value={workbench}>{children}</Context>
}

export function useWorkbench(): Workbench {
  const workbench = useContext(Context)
  if (!workbench) throw new Error('useWorkbench is for parts of a WorkbenchProvider')
  return workbench
}
