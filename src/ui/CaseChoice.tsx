'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { FieldLabel } from './FieldLabel'
import { useEffect, useState } from 'react'
import { Button, QuietButton } from './Button'
import { TextBox } from './TextBox'

const PAUSE_MS = 250

export type CaseName = Readonly<{ id: string; reference: string; subject: string }>
/** The case that something is put into, or the subject of a new one. */
export type IntoCase = Readonly<{ caseId: string } | { subject: string }>

/**
 * A new case by its subject, or one of those that are open.
 *
 * @param casesLike - the open cases that hold a text
 * @param words - on the buttons: “Open it with this check”, and “Keep it in” before a case's name
 */
export function CaseChoice({
  casesLike,
  words,
  isBusy,
  problem,
  onChoose,
}: Readonly<{
  casesLike: (text: string) => Promise<readonly CaseName[]>
  words: Readonly<{ ofNew: string; ofOpen: string }>
  isBusy: boolean
  /** What kept it from being done; empty for nothing. */
  problem: string
  onChoose: (into: IntoCase) => void
}>) {
  const [text, setText] = useState('')
  const [subject, setSubject] = useState('')
  const cases = useCasesLike(text, casesLike)
  return (
    <>
      <Flex
        as="form"
        gap="14px"
        align="end"
        wrap="wrap"
        marginTop="8px"
        onSubmit={(event) => {
          event.preventDefault()
          if (subject.trim() !== '') onChoose({ subject })
        }}
      >
        <FieldLabel>
          Subject of a new case
          <TextBox
            aria-label="Subject of a new case"
            value={subject}
            maxLength={500}
            onChange={({ target }) => setSubject(target.value)}
          />
        </FieldLabel>
        <Button type="submit" disabled={isBusy || subject.trim() === ''}>
          {words.ofNew}
        </Button>
        <FieldLabel>
          Or a case that is open
          <TextBox
            aria-label="An open case"
            value={text}
            maxLength={200}
            placeholder="reference, subject or party"
            onChange={({ target }) => setText(target.value)}
          />
        </FieldLabel>
      </Flex>
      <Flex as="ul" aria-label="Open cases" gap="8px" wrap="wrap" marginTop="8px">
        {cases.map((one) => (
          <li key={one.id}>
            <QuietButton type="button" disabled={isBusy} onClick={() => onChoose({ caseId: one.id })}>
              {words.ofOpen}{' '}
              {[one.reference, one.subject].filter(Boolean).join(', ') || 'a case without a name'}
            </QuietButton>
          </li>
        ))}
      </Flex>
      {problem && (
        <Box role="alert" color="finding.contradicted" marginTop="6px">
          {problem}
        </Box>
      )}
    </>
  )
}

function useCasesLike(
  text: string,
  casesLike: (text: string) => Promise<readonly CaseName[]>,
): readonly CaseName[] {
  const [cases, setCases] = useState<readonly CaseName[]>([])
  useEffect(() => {
    let isCurrent = true
    const timer = setTimeout(() => {
      void casesLike(text).then(
        (found) => isCurrent && setCases(found),
        // Without a server nothing can be kept, which is said when it is tried.
        () => undefined,
      )
    }, PAUSE_MS)
    return () => {
      isCurrent = false
      clearTimeout(timer)
    }
  }, [text, casesLike])
  return cases
}
