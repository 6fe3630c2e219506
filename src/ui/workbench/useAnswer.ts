'use client'

import { useEffect, useMemo, useState } from 'react'
import { answerClaim, takesLongToAnswer } from '@/answers/claim'
import type { ClaimAnswer, ClaimDocument } from '@/claims/checkAnswer'
import { sheets } from '@/workers/sheets'

export type Answered = Readonly<{ document: ClaimDocument; answer: ClaimAnswer }>

/**
 * The answer to a check document: at once, or from a worker where that takes longer than a frame.
 *
 * @returns while an answer is on its way, the last one, marked as stale; nothing while there is no document
 */
export function useAnswer(
  document: ClaimDocument | undefined,
): Readonly<{ answered: Answered | undefined; isStale: boolean }> {
  const isLong = document !== undefined && takesLongToAnswer(document)
  const atOnce = useMemo(
    () => (document && !isLong ? { document, answer: answerClaim(document) } : undefined),
    [document, isLong],
  )
  const [late, setLate] = useState<Answered>()
  useEffect(() => {
    if (!document || !isLong) return
    let isOvertaken = false
    const settle = (answer: ClaimAnswer) => {
      if (!isOvertaken) setLate({ document, answer })
    }
    sheets()
      .check(document)
      .then(settle, (error: unknown) => settle(notComputed(error)))
    return () => {
      isOvertaken = true
    }
  }, [document, isLong])
  if (!isLong) return { answered: atOnce, isStale: false }
  return { answered: late, isStale: late?.document !== document }
}

function notComputed(error: unknown): ClaimAnswer {
  const reason = error instanceof Error ? error.message : String(error)
  const message = `The check was not computed: ${reason}. Load the page again.`
  return { ok: false, error: { code: 'not-computed', path: '', message } }
}
