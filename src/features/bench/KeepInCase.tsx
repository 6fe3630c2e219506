'use client'

import { Box, chakra, Flex } from '@chakra-ui/react'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import type { Outcome } from '@/claims/terms/outcome'
import { EMPTY_BENCH, isBenchEmpty } from '@/desk/bench'
import { Button, QuietButton } from '@/ui/Button'
import { officerHere } from '@/ui/officer'
import { TextBox } from '@/ui/TextBox'
import { type CaseName, openCasesLike } from './actions'
import { layOnBench } from './benchStore'
import { useCheck } from './useCheck'

const PAUSE_MS = 250
const Label = chakra('label', { base: { display: 'grid', gap: '2px', color: 'quiet', fontSize: '13px' } })

type Kept = Readonly<{ caseId: string; claimId: string }>

/** Puts the check into a case, where it can be signed and reported; the bench is clear then. */
export function KeepInCase() {
  const router = useRouter()
  const check = useCheck()
  const [text, setText] = useState('')
  const [subject, setSubject] = useState('')
  const [problem, setProblem] = useState('')
  const [isKeeping, setKeeping] = useState(false)
  const cases = useCasesLike(text)
  if (isBenchEmpty(check)) return null
  const keep = async (into: object) => {
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
      <Flex
        as="form"
        gap="14px"
        align="end"
        wrap="wrap"
        marginTop="8px"
        onSubmit={(event) => {
          event.preventDefault()
          if (subject.trim() !== '') void keep({ subject })
        }}
      >
        <Label>
          Subject of a new case
          <TextBox
            aria-label="Subject of a new case"
            value={subject}
            maxLength={500}
            onChange={({ target }) => setSubject(target.value)}
          />
        </Label>
        <Button type="submit" disabled={isKeeping || subject.trim() === ''}>
          Open it with this check
        </Button>
        <Label>
          Or a case that is open
          <TextBox
            aria-label="An open case"
            value={text}
            maxLength={200}
            placeholder="reference, subject or party"
            onChange={({ target }) => setText(target.value)}
          />
        </Label>
      </Flex>
      <Flex as="ul" aria-label="Open cases" gap="8px" wrap="wrap" marginTop="8px">
        {cases.map((one) => (
          <li key={one.id}>
            <QuietButton type="button" disabled={isKeeping} onClick={() => void keep({ caseId: one.id })}>
              Keep it in {[one.reference, one.subject].filter(Boolean).join(', ') || 'a case without a name'}
            </QuietButton>
          </li>
        ))}
      </Flex>
      {problem && (
        <Box role="alert" color="finding.contradicted" marginTop="6px">
          {problem}
        </Box>
      )}
    </Box>
  )
}

function useCasesLike(text: string): readonly CaseName[] {
  const [cases, setCases] = useState<readonly CaseName[]>([])
  useEffect(() => {
    let isCurrent = true
    const timer = setTimeout(() => {
      void openCasesLike(text).then(
        (found) => isCurrent && setCases(found),
        // Without a server nothing can be kept, which is said when it is tried.
        () => undefined,
      )
    }, PAUSE_MS)
    return () => {
      isCurrent = false
      clearTimeout(timer)
    }
  }, [text])
  return cases
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
