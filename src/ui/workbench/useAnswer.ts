'use client'

import { useEffect, useMemo, useState } from 'react'
import { check } from '@/claims/check'
import { type CheckDocument, USUAL_RESAMPLES } from '@/claims/request'
import type { CheckAnswer } from '@/claims/result'
import { sheets } from '@/workers/sheets'

/** So many readings are checked between two frames by most methods; these two take far longer for each. */
const MOST_AT_ONCE = 20_000
const MOST_RANKED_AT_ONCE = 1000
const MOST_RESAMPLED_AT_ONCE = 200_000

type Answered = Readonly<{ document: CheckDocument; answer: CheckAnswer }>

/**
 * The answer to a check document: at once, or from a worker where that takes longer than a frame.
 *
 * @returns while an answer is on its way, the last one, marked as stale; nothing while there is no document
 */
export function useAnswer(
  document: CheckDocument | undefined,
): Readonly<{ answered: Answered | undefined; isStale: boolean }> {
  const isLong = document !== undefined && takesLong(document)
  const atOnce = useMemo(
    () => (document && !isLong ? { document, answer: check(document) } : undefined),
    [document, isLong],
  )
  const [late, setLate] = useState<Answered>()
  useEffect(() => {
    if (!document || !isLong) return
    let isOvertaken = false
    const settle = (answer: CheckAnswer) => {
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

/** Whether a check takes longer than a frame. */
export function takesLong({ claim, evidence, test }: CheckDocument): boolean {
  const count = readingsIn(evidence)
  const method = test?.method ?? 'auto'
  if (method === 'bootstrap') return count * (test?.resamples ?? USUAL_RESAMPLES) > MOST_RESAMPLED_AT_ONCE
  const isRanked = claim.parameter === 'median' && method !== 'sign'
  return count > (isRanked ? MOST_RANKED_AT_ONCE : MOST_AT_ONCE)
}

function readingsIn(evidence: CheckDocument['evidence']): number {
  switch (evidence.kind) {
    case 'readings':
      return evidence.values.length
    case 'two-readings':
      return evidence.first.length + evidence.second.length
    default:
      return 0
  }
}

function notComputed(error: unknown): CheckAnswer {
  const reason = error instanceof Error ? error.message : String(error)
  const message = `The check was not computed: ${reason}. Load the page again.`
  return { ok: false, error: { code: 'not-computed', path: '', message } }
}
