'use client'

import { Box } from '@chakra-ui/react/box'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Outcome } from '@/claims/terms/outcome'
import { EMPTY_BENCH, isBenchEmpty } from '@/desk/bench'
import { CaseChoice, type IntoCase } from '@/ui/CaseChoice'
import { officerHere } from '@/ui/officer'
import { openCasesLike } from './actions'
import { layOnBench } from './benchStore'
import { useCheck } from './useCheck'

const WORDS = { ofNew: 'Open it with this check', ofOpen: 'Keep it in' }

type Kept = Readonly<{ caseId: string; claimId: string }>

/** Puts the check into a case, where it can be signed and reported; the bench is clear then. */
export function KeepInCase() {
  const router = useRouter()
  const check = useCheck()
  const [problem, setProblem] = useState('')
  const [isKeeping, setKeeping] = useState(false)
  if (isBenchEmpty(check)) return null
  const keep = async (into: IntoCase) => {
    setKeeping(true)
    const outcome = await sent({ check, into, by: officerHere() })
    setKeeping(false)
    if (!outcome.ok) return setProblem(outcome.problem.message)
    // Not on this page, which is left: what lies there now is stored no more.
    layOnBench(EMPTY_BENCH, check)
    router.push(`/cases/${outcome.value.caseId}/claims/${outcome.value.claimId}`)
  }
  return (
    <Box role="group" aria-label="Keep it in a case" marginTop="18px">
      <p>
        A finding is signed and reported in a case. The case begins with the check as it stands: what was
        changed here before is on no trail, and the finding will say so.
      </p>
      <CaseChoice
        casesLike={openCasesLike}
        words={WORDS}
        isBusy={isKeeping}
        problem={problem}
        onChoose={(into) => void keep(into)}
      />
    </Box>
  )
}

async function sent(body: object): Promise<Outcome<Kept>> {
  try {
    const answer = await fetch('/api/bench', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    })
    return (await answer.json()) as Outcome<Kept>
  } catch {
    const message = 'The server does not answer. The check is still here; try it again.'
    return { ok: false, problem: { code: 'no-answer', path: '', message } }
  }
}
