'use client'

import { useMemo } from 'react'
import type { Examined } from '@/claims/crossexamination/question'
import { byRow, type ReadingName, standingWords } from '@/words/en/crossWords'
import { shownGap } from '@/words/display'
import { useFormats } from './useFormats'
import { useWorkbench } from './WorkbenchProvider'

/** How readings are named on this page: by their rows. */
export function useReadingName(): ReadingName {
  const { first, second } = useWorkbench()
  const [one, other] = [first.evidence, second?.evidence]
  return useMemo(() => byRow({ first: one, second: other }), [one, other])
}

/** How the finding fared in its cross-examination, in words. */
export function useStanding(answers: readonly Examined[]): string {
  const { checked } = useWorkbench()
  const { display } = useFormats()
  const name = useReadingName()
  if (!checked) return ''
  const { outcome } = checked.result.finding
  return standingWords({ answers, outcome, gap: (size) => shownGap(size, display), name })
}
