'use client'

import { useEffect, useMemo, useState } from 'react'
import { check } from '@/core/check/check'
import type { CheckDocument } from '@/core/check/request'
import type { CheckAnswer } from '@/core/check/result'
import { sheets } from '@/workers/sheets'

/** So many readings are checked between two keystrokes. */
const MOST_AT_ONCE = 20_000

/**
 * The answer to a check document: at once, or from a worker where there are many readings.
 *
 * @returns no answer while there is no document; `isComputing` while it is on its way. An answer to another document is never
 *   given.
 */
export function useAnswer(
  document: CheckDocument | undefined,
): Readonly<{ answer: CheckAnswer | undefined; isComputing: boolean }> {
  const isLarge = document?.evidence.kind === 'readings' && document.evidence.values.length > MOST_AT_ONCE
  const atOnce = useMemo(() => (document && !isLarge ? check(document) : undefined), [document, isLarge])
  const [late, setLate] = useState<Readonly<{ to: CheckDocument; answer: CheckAnswer }>>()
  useEffect(() => {
    if (!document || !isLarge) return
    let isOvertaken = false
    const settle = (answer: CheckAnswer) => {
      if (!isOvertaken) setLate({ to: document, answer })
    }
    sheets()
      .check(document)
      .then(settle, (error: unknown) => settle(notComputed(error)))
    return () => {
      isOvertaken = true
    }
  }, [document, isLarge])
  if (!isLarge) return { answer: atOnce, isComputing: false }
  return late?.to === document
    ? { answer: late?.answer, isComputing: false }
    : { answer: undefined, isComputing: true }
}

function notComputed(error: unknown): CheckAnswer {
  const reason = error instanceof Error ? error.message : String(error)
  const message = `The check was not computed: ${reason}. Load the page again.`
  return { ok: false, error: { code: 'not-computed', path: '', message } }
}
