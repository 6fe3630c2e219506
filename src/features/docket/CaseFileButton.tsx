'use client'

import { Box } from '@chakra-ui/react/box'
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import type { Outcome } from '@/claims/terms/outcome'
import { QuietButton } from '@/ui/Button'
import { officerHere } from '@/ui/officer'

/** Brings a case in from its file. */
export function CaseFileButton() {
  const router = useRouter()
  const input = useRef<HTMLInputElement>(null)
  const [state, setState] = useState<'idle' | 'reading' | Readonly<{ problem: string }>>('idle')
  const bringIn = async (file: File) => {
    setState('reading')
    const answer = await sent(file)
    if (answer.ok) return router.push(`/cases/${answer.value.caseId}`)
    setState({ problem: answer.problem.message })
  }
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".zip,application/zip"
        aria-label="Case file"
        hidden
        onChange={(event) => {
          const file = event.target.files?.[0]
          event.target.value = ''
          if (file) void bringIn(file)
        }}
      />
      <QuietButton type="button" disabled={state === 'reading'} onClick={() => input.current?.click()}>
        {state === 'reading' ? 'Bringing it in…' : 'Bring in a case file'}
      </QuietButton>
      {typeof state === 'object' && (
        <Box role="alert" color="finding.contradicted" flexBasis="100%" order="1">
          {state.problem}
        </Box>
      )}
    </>
  )
}

async function sent(file: File): Promise<Outcome<Readonly<{ caseId: string }>>> {
  try {
    const address = `/api/cases?${new URLSearchParams({ by: officerHere(), name: file.name }).toString()}`
    const headers = { 'Content-Type': 'application/zip' }
    const answer = await fetch(address, { method: 'POST', headers, body: file })
    return (await answer.json()) as Outcome<Readonly<{ caseId: string }>>
  } catch {
    const message =
      'The server does not answer, or the file could not be read. Nothing was changed; try it again.'
    return { ok: false, problem: { code: 'no-answer', path: '', message } }
  }
}
