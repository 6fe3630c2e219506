'use client'

import { countsRows } from '@/desk/claimDraft'
import { useEffect, useMemo, useState } from 'react'
import { failure, type Outcome } from '@/claims/terms/outcome'
import { type Taken, takeWanted, type Wanted, wantedOf } from '@/intake/takenFrom'
import { sheets } from '@/workers/sheets'
import type { Sample } from './SampleProvider'

const NO_ROWS: readonly number[] = []
const NOTHING: Wanted = {
  ...{ parameter: 'mean', limitSide: 'none', column: '', kept: [], counted: [], decimalMark: 'point' },
}

/** What a claim takes from a sample's sheet; undefined while that is being read, and where there is no claim or no sheet. */
export function useTaken(
  draft: Wanted | null,
  { id, draft: sample, file, typed }: Pick<Sample, 'id' | 'draft' | 'file' | 'typed'>,
): Outcome<Taken> | undefined {
  const { parameter, limitSide, kept, counted, decimalMark, column } = draft ?? NOTHING
  const isWanted = draft !== null
  // Where readings are taken, what is set aside stays among them.
  const { setAside, columns, made, decimalMark: mark, groupedBy, groupColumn } = sample
  const excluded = useMemo(
    () => (countsRows({ parameter, limitSide }) ? setAside.map(({ row }) => row) : NO_ROWS),
    [parameter, limitSide, setAside],
  )
  const wanted = useMemo(
    () =>
      wantedOf(
        { parameter, limitSide, column, kept, counted, decimalMark },
        { columns, made, decimalMark: mark, groupedBy, groupColumn },
      ),
    [parameter, limitSide, column, kept, counted, decimalMark, columns, made, mark, groupedBy, groupColumn],
  )
  const fromTyped = useMemo(
    () =>
      isWanted && sample.kind === 'typed' && !isOpen(wanted)
        ? takeWanted(typed, wanted, excluded)
        : undefined,
    [isWanted, sample.kind, typed, wanted, excluded],
  )
  const question = useMemo(
    () =>
      isWanted && file && !isOpen(wanted)
        ? { sampleId: id, rowCount: file.rowCount, wanted, setAside: excluded }
        : undefined,
    [isWanted, id, file, wanted, excluded],
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

/** Whether there are readings to be taken and nobody has said of which column. */
const isOpen = (wanted: Wanted) => wanted.column === '' && !countsRows(wanted)

function notTaken(error: unknown) {
  const reason = error instanceof Error ? error.message : String(error)
  return {
    code: 'not-read',
    path: 'readings',
    message: `The sheet cannot be read: ${reason}. Load the page again.`,
  }
}
