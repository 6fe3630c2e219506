'use client'

import { useRouter } from 'next/navigation'
import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo } from 'react'
import { asksForControl } from '@/answers/claim'
import type { EstimateFigures } from '@/answers/estimateRequest'
import type { CheckDocument } from '@/claims/terms/request'
import type { ContentDocument } from '@/claims/terms/contentRequest'
import {
  type CensusResult,
  type ClaimDocument,
  type ClaimResult,
  type ContentResult,
  isTested,
} from '@/claims/checkAnswer'
import { type CheckResult } from '@/claims/result'
import type { Claim } from '@/claims/terms/claim'
import type { ClaimDraft } from '@/desk/claimDraft'
import { deriveHypotheses, type Hypotheses } from '@/claims/terms/hypotheses'
import { problemWords } from '@/words/en/problems'
import { failure, type Outcome, type Problem } from '@/claims/terms/outcome'
import { readSides } from '@/intake/claimDocument'
import { askedOf, type DraftReading } from '@/intake/readDraft'
import { type EvidenceReading, readEvidence } from '@/intake/readEvidence'
import { sidesOf } from '@/intake/sides'
import type { Taken } from '@/intake/takenFrom'
import { useTracked } from '../history/useTracked'
import { type Sample, useSample, useSecondSample } from '../sample/SampleProvider'
import { useTaken } from '../sample/useTaken'
import { type Saving, useHere, useSaving } from '../saving/useSaving'
import { claimVersion } from './claimVersion'
import { type Answered, useAnswer } from './useAnswer'
import { useEstimate } from './useEstimate'

/** Where readings come from: a sample, the part of it that the claim is held against, and what that comes to. */
export type Source = Readonly<{
  which: 'first' | 'second'
  sample: Sample
  /** The claim, with this source's column and rows in the first one's place. */
  draft: ClaimDraft
  /** What the claim takes from the sample's sheet; absent while that is being read. */
  taken: Outcome<Taken> | undefined
  evidence: EvidenceReading
}>

/** A result, and the document that it answers: one without the other would be misread. */
export type Checked = Readonly<{ document: CheckDocument; result: CheckResult }>

type Workbench = Readonly<{
  claimId: string
  draft: ClaimDraft
  setField: <K extends keyof ClaimDraft>(field: K, value: ClaimDraft[K]) => void
  setFields: (change: Partial<ClaimDraft>) => void
  first: Source
  /** Of a claim about two spreads, and of a control whose tare was weighed. */
  second: Source | undefined
  evidence: EvidenceReading
  reading: DraftReading
  /** What follows from the claim's words alone; absent while it has no value. */
  hypotheses: (Outcome<Hypotheses> & Readonly<{ claim: Claim }>) | undefined
  /** Absent while there is nothing to compute with, where the lot was measured whole, and where the check was refused. */
  checked: Checked | undefined
  /** What a claim comes to for a lot that was measured whole. */
  census: Readonly<{ document: CheckDocument; result: CensusResult }> | undefined
  /** What a control of net content comes to. */
  control: Readonly<{ document: ContentDocument; result: ContentResult }> | undefined
  /** Whichever of these three there is. */
  found: Readonly<{ document: ClaimDocument; result: ClaimResult }> | undefined
  refusal: Problem | undefined
  /** What is known while the claim has no value. */
  estimated: EstimateFigures | undefined
  /** Whether a newer answer is on its way. */
  isStale: boolean
  saving: Saving
}>

export const WorkbenchContext = createContext<Workbench | null>(null)

/** Until another sample that was chosen is there, nothing is said of either. */
const SWITCHING: EvidenceReading = {
  values: [],
  rows: [],
  setAside: [],
  unread: [],
  problems: [],
  missing: [{ field: 'sampleId', message: 'The other sample is being read.' }],
}

/**
 * One claim as it is being worked on, held against the samples of the providers above: every section reads it here, and what
 * is typed is checked and stored at once.
 */
export function WorkbenchProvider({
  claimId,
  draft: stored,
  revision,
  children,
}: Readonly<{ claimId: string; draft: ClaimDraft; revision: number; children: ReactNode }>) {
  const router = useRouter()
  const address = `/api/claims/${claimId}`
  const here = useHere(address, { draft: stored, revision })
  const [draft, change] = useTracked(claimId, here.draft)
  const setDraft = useCallback((other: ClaimDraft) => change('', () => other), [change])
  const saving = useSaving({ address, here, words: claimVersion, draft, setDraft })
  const setField = useCallback<Workbench['setField']>(
    (field, value) => change(field, (known) => ({ ...known, [field]: value })),
    [change],
  )
  const setFields = useCallback<Workbench['setFields']>(
    (fields) => change('', (known) => ({ ...known, ...fields })),
    [change],
  )

  const [firstDraft, secondDraft = null] = useMemo(() => sidesOf(draft), [draft])
  const firstSample = useSample()
  const otherSample = useSecondSample()
  const secondSample = secondDraft && secondDraft.sampleId !== draft.sampleId ? otherSample : firstSample
  const first = useSource('first', firstSample, firstDraft)
  const second = useSource('second', secondSample ?? firstSample, secondDraft)

  const isSwitching =
    draft.sampleId !== firstSample.id || (secondDraft !== null && secondDraft.sampleId !== secondSample?.id)
  const isStored = [saving, firstSample.saving].every(({ state }) => state.kind === 'saved')
  useEffect(() => {
    // Another sample was chosen: the page is made anew with it, once what is here is stored.
    if (isSwitching && isStored) router.refresh()
  }, [isSwitching, isStored, router])

  const reading = useMemo(
    () =>
      readSides(draft, {
        first: isSwitching ? SWITCHING : first!.evidence,
        second: isSwitching ? undefined : second?.evidence,
      }),
    [draft, first, second, isSwitching],
  )
  const { claim } = reading
  const hypotheses = useMemo(() => claim && { ...hypothesesOf(claim), claim }, [claim])
  const { answered, isStale } = useAnswer(askedOf(reading))
  const estimated = useEstimate(reading.estimate)
  const { checked, census, control, refusal } = useMemo(() => partsOf(answered), [answered])
  const workbench = useMemo(
    () => ({
      ...{ claimId, draft, setField, setFields, first: first!, second, evidence: reading.evidence, reading },
      ...{
        hypotheses,
        checked,
        census,
        control,
        found: checked ?? census ?? control,
        refusal,
        estimated,
        isStale,
        saving,
      },
    }),
    [
      claimId,
      draft,
      setField,
      setFields,
      first,
      second,
      reading,
      hypotheses,
      checked,
      census,
      control,
      refusal,
      estimated,
      isStale,
      saving,
    ],
  )
  return <WorkbenchContext value={workbench}>{children}</WorkbenchContext>
}

/** An answer is one of four: a test, the figure of a whole lot, a control, or a refusal. */
function partsOf(
  answered: Answered | undefined,
): Pick<Workbench, 'checked' | 'census' | 'control' | 'refusal'> {
  const none = { checked: undefined, census: undefined, control: undefined, refusal: undefined }
  if (!answered) return none
  const { document, answer } = answered
  if (!answer.ok) return { ...none, refusal: answer.error }
  if (asksForControl(document)) return { ...none, control: { document, result: answer as ContentResult } }
  return isTested(answer)
    ? { ...none, checked: { document, result: answer } }
    : { ...none, census: { document, result: answer as CensusResult } }
}

function hypothesesOf(claim: Claim): Outcome<Hypotheses> {
  const derived = deriveHypotheses(claim, 'auto')
  return derived.ok ? derived : failure(problemWords(derived.problem))
}

export function useWorkbench(): Workbench {
  const workbench = useContext(WorkbenchContext)
  if (!workbench) throw new Error('useWorkbench is for parts of a WorkbenchProvider')
  return workbench
}

/** What a claim takes from a sample; nothing where it takes nothing. */
function useSource(which: Source['which'], sample: Sample, draft: ClaimDraft | null): Source | undefined {
  const taken = useTaken(draft, sample)
  const evidence = useMemo(
    () => draft && readEvidence({ sample: sample.draft, taken, draft }),
    [sample.draft, taken, draft],
  )
  return useMemo(
    () => (draft && evidence ? { which, sample, draft, taken, evidence } : undefined),
    [which, sample, draft, taken, evidence],
  )
}
