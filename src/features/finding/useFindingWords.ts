'use client'

import { effectWords, findingSentence } from '@/words/en/findingWords'
import { useFormats } from '@/ui/workbench/useFormats'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

/** The finding in plain words and the gap with its interval, with the decimals chosen for this claim. */
export function useFindingWords(): Readonly<{ sentence: string; effect: string }> | undefined {
  const { checked } = useWorkbench()
  const { display } = useFormats()
  if (!checked) return undefined
  const { document, result } = checked
  const { finding, test, estimate, sample, interval } = result
  const shared = { claim: document.claim, estimate, interval }
  return {
    sentence: findingSentence({
      ...shared,
      outcome: finding.outcome,
      significanceLevel: test.significanceLevel,
      sample,
      display,
    }),
    effect: effectWords(shared, display),
  }
}
