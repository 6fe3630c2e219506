'use client'

import { useRouter } from 'next/navigation'
import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useState } from 'react'
import type { CheckAnswer } from '@/core/check/result'
import type { Claim } from '@/core/claim/claim'
import type { ClaimDraft } from '@/core/claim/draft'
import { deriveHypotheses, type Hypotheses } from '@/core/claim/hypotheses'
import type { Outcome } from '@/core/outcome'
import { type DraftReading, readDraft } from '@/intake/readDraft'
import { type EvidenceReading, readEvidence } from '@/intake/readEvidence'
import type { Taken } from '@/intake/sheet/takeReadings'
import { columnFor } from '@/intake/takenFrom'
import { useSample } from '../sample/SampleProvider'
import { type Saving, useSaving } from '../saving/useSaving'
import { useAnswer } from './useAnswer'
import { useTaken } from '../sample/useTaken'

type Workbench = Readonly<{
  draft: ClaimDraft
  setField: <K extends keyof ClaimDraft>(field: K, value: ClaimDraft[K]) => void
  /** Holds the claim against another sample, of which every row counts at first. */
  holdAgainst: (sampleId: string, column?: string) => void
  /** What the claim takes from its sample's sheet; absent while that is being read. */
  taken: Outcome<Taken> | undefined
  evidence: EvidenceReading
  reading: DraftReading
  /** What follows from the claim's words alone; absent while it has no value. */
  hypotheses: (Outcome<Hypotheses> & Readonly<{ claim: Claim }>) | undefined
  /** Absent while there is nothing to compute with. */
  answer: CheckAnswer | undefined
  /** Whether an answer is on its way. */
  isComputing: boolean
  saving: Saving
}>

const Context = createContext<Workbench | null>(null)

/** Until the other sample is there, nothing is said of either. */
const SWITCHING: EvidenceReading = {
  values: [],
  rows: [],
  setAside: [],
  problems: [],
  missing: [{ field: 'sampleId', message: 'The other sample is being read.' }],
}

/**
 * One claim as it is being worked on, held against the sample of the provider above: every section reads it here, and what is
 * typed is checked and stored at once.
 */
export function WorkbenchProvider({
  claimId,
  draft: first,
  revision,
  children,
}: Readonly<{ claimId: string; draft: ClaimDraft; revision: number; children: ReactNode }>) {
  const router = useRouter()
  const { id: sampleId, draft: sample, saving: sampleSaving } = useSample()
  const [draft, setDraft] = useState(first)
  const saving = useSaving({ address: `/api/claims/${claimId}`, draft, revision, setDraft })
  const setField = useCallback<Workbench['setField']>(
    (field, value) => setDraft((known) => ({ ...known, [field]: value })),
    [],
  )
  const holdAgainst = useCallback(
    (other: string, readings = '') =>
      setDraft((known) => ({ ...known, sampleId: other, column: readings, kept: [] })),
    [],
  )
  const isSwitching = draft.sampleId !== sampleId
  const isStored = saving.state.kind === 'saved' && sampleSaving.state.kind === 'saved'
  useEffect(() => {
    // Another sample was chosen: the page is made anew with it, once both are stored.
    if (isSwitching && isStored) router.refresh()
  }, [isSwitching, isStored, router])
  const taken = useTaken(draft)
  const column = columnFor(draft, sample)
  const { unit } = draft
  const evidence = useMemo(
    () => (isSwitching ? SWITCHING : readEvidence({ sample, taken, column, unit })),
    [isSwitching, sample, taken, column, unit],
  )
  const reading = useMemo(() => readDraft(draft, evidence), [draft, evidence])
  const hypotheses = useMemo(() => {
    const { claim } = reading
    return claim && { ...deriveHypotheses(claim, 'auto'), claim }
  }, [reading])
  const { answer, isComputing } = useAnswer(reading.document)
  const workbench = useMemo(
    () => ({
      draft,
      setField,
      holdAgainst,
      taken,
      evidence,
      reading,
      hypotheses,
      answer,
      isComputing,
      saving,
    }),
    [draft, setField, holdAgainst, taken, evidence, reading, hypotheses, answer, isComputing, saving],
  )
  return <Context value={workbench}>{children}</Context>
}

export function useWorkbench(): Workbench {
  const workbench = useContext(Context)
  if (!workbench) throw new Error('useWorkbench is for parts of a WorkbenchProvider')
  return workbench
}
