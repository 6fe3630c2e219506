'use client'

import { useEffect, useMemo, useState } from 'react'
import type { ClaimDraft } from '@/core/claim/draft'
import { failure, type Outcome } from '@/core/outcome'
import type { Taken } from '@/intake/sheet/takeReadings'
import { columnFor, takenFrom } from '@/intake/takenFrom'
import { sheets } from '@/workers/sheets'
import { useSample } from './SampleProvider'

/** What a claim takes from its sample's sheet; undefined while that is being read, and where there is no sheet. */
export function useTaken(
  draft: Pick<ClaimDraft, 'column' | 'kept' | 'decimalMark'>,
): Outcome<Taken> | undefined {
  const { id, draft: sample, file, typed } = useSample()
  const { kept, decimalMark: mark } = draft
  const column = columnFor(draft, sample)
  const fromTyped = useMemo(
    () =>
      sample.kind === 'typed' ? takenFrom(typed, { column, kept, decimalMark: mark }, sample) : undefined,
    [sample, typed, column, kept, mark],
  )
  const question = useMemo(
    () => (file ? { sampleId: id, rowCount: file.rowCount, column, kept, mark } : undefined),
    [id, file, column, kept, mark],
  )
  const [answer, setAnswer] = useState<Readonly<{ to: unknown; taken: Outcome<Taken> }>>()
  useEffect(() => {
    if (!question) return
    let isLate = false
    const settle = (taken: Outcome<Taken>) => {
      if (!isLate) setAnswer({ to: question, taken })
    }
    sheets()
      .take(question)
      .then(settle, (error: unknown) => settle(failure(notTaken(error))))
    return () => {
      isLate = true
    }
  }, [question])
  if (fromTyped) return fromTyped
  return answer?.to === question ? answer?.taken : undefined
}

function notTaken(error: unknown) {
  const reason = error instanceof Error ? error.message : String(error)
  return {
    code: 'not-read',
    path: 'readings',
    message: `The sheet cannot be read: ${reason}. Load the page again.`,
  }
}
