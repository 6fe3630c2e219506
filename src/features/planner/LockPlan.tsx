'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import type { Outcome, Problem } from '@/claims/terms/outcome'
import type { LockedPlan } from '@/desk/lockedPlan'
import type { PlanDraft } from '@/desk/planDraft'
import { planToLock } from '@/intake/lockPlan'
import { LOCKING, typedGap, typedNumber } from '@/words/en/planWords'
import { CaseChoice, type IntoCase } from '@/ui/CaseChoice'
import type { DeviceKey } from '@/ui/signing/keyStore'
import { Signer, useSigner } from '@/ui/signing/Signer'
import type { Planning } from '@/workers/planning'
import * as server from './actions'

const Summary = chakra('summary', { base: { cursor: 'pointer', marginTop: '16px' } })
const FOUND_DIGITS = 4

/** Locks the plan in a case, before a unit is measured: the finding will say what of it was kept. */
export function LockPlan({ draft, planning }: Readonly<{ draft: PlanDraft; planning: Planning }>) {
  const router = useRouter()
  const signer = useSigner()
  const [problem, setProblem] = useState('')
  const [isLocking, setLocking] = useState(false)
  // A case that was opened for a plan which could not be locked then is taken for the next try.
  const opened = useRef<Readonly<{ subject: string; caseId: string }>>(undefined)
  const settled = settledPlan(draft, planning)
  if (!settled) return null
  const lock = async (into: IntoCase) => {
    const facts = { lockedBy: signer.name.trim(), lockedOn: signer.day }
    const caseOf = async (): Promise<Outcome<string>> => {
      if ('caseId' in into) return { ok: true, value: into.caseId }
      const { subject } = into
      if (opened.current?.subject === subject) return { ok: true, value: opened.current.caseId }
      const made = await server.openCaseFor(subject, facts.lockedBy)
      if (!made.ok) return made
      opened.current = { subject, caseId: made.value.caseId }
      return { ok: true, value: made.value.caseId }
    }
    setLocking(true)
    const outcome = await locked({ draft: settled, ...facts }, { caseOf, key: signer.key })
    setLocking(false)
    if (!outcome.ok) return setProblem(outcome.problem.message)
    router.push(outcome.value)
  }
  return (
    <details>
      <Summary>Lock the plan</Summary>
      <Box role="group" aria-label="Lock the plan" marginTop="8px">
        <Box as="p" marginBottom="10px">
          {LOCKING}
        </Box>
        <Signer signer={signer} />
        <CaseChoice
          casesLike={server.openCasesLike}
          words={WORDS}
          isBusy={isLocking}
          problem={problem}
          onChoose={(into) => void lock(into)}
        />
      </Box>
    </details>
  )
}

const WORDS = { ofNew: 'Open it and lock the plan', ofOpen: 'Lock it in' }

/** The plan with its units, and the gap that they find, stated; nothing while there are none that serve all claims. */
function settledPlan(draft: PlanDraft, { units, claims }: Planning): PlanDraft | undefined {
  if (units === undefined) return undefined
  const mark = draft.decimalMark
  return {
    ...draft,
    wanted: 'power',
    units: typedNumber(units, 17, mark),
    claims: draft.claims.map((claim, place) => {
      const found = claims[place]?.found
      return found && draft.wanted === 'gap'
        ? { ...claim, gap: typedGap(found.claim, found.gap, FOUND_DIGITS, mark) }
        : claim
    }),
  }
}

type Locking = Readonly<{ draft: PlanDraft; lockedBy: string; lockedOn: string }>

/** @returns the address of the first claim */
async function locked(
  input: Locking,
  { caseOf, key }: Readonly<{ caseOf: () => Promise<Outcome<string>>; key: DeviceKey | undefined }>,
): Promise<Outcome<string>> {
  try {
    const { draft, ...facts } = input
    if (facts.lockedBy === '') return notLocked('Nobody is named. Write who signs the plan.')
    // What can't be locked opens no case.
    const seen = planToLock(draft)
    if (!seen.ok) return seen
    const caseId = await caseOf()
    if (!caseId.ok) return caseId
    const signed = key && (await signedBy(key, input, { ...seen.value, ...facts, caseId: caseId.value }))
    if (signed?.ok === false) return signed
    const jws = signed ? { jws: signed.value } : {}
    const outcome = await server.lockPlan(caseId.value, { ...input, ...jws })
    return outcome.ok
      ? { ok: true, value: `/cases/${caseId.value}/claims/${outcome.value.claimId}` }
      : outcome
  } catch (error) {
    return notLocked(`It was not locked: ${error instanceof Error ? error.message : String(error)}.`)
  }
}

async function signedBy(key: DeviceKey, input: Locking, seen: LockedPlan): Promise<Outcome<string>> {
  const asked = await server.planToSign(seen.caseId, input)
  if (!asked.ok) return asked
  // What signs is loaded where it is wanted.
  const { signPlanWithKey } = await import('@/ui/signing/signWithKey')
  const jws = await signPlanWithKey(key, asked.value, seen)
  return jws
    ? { ok: true, value: jws }
    : notLocked('The server would have another plan signed. Load the page again.')
}

const notLocked = (message: string): Readonly<{ ok: false; problem: Problem }> => ({
  ok: false,
  problem: { code: 'not-locked', path: '', message },
})
