'use client'

import { effectWords, findingSentence, writtenUp } from '@/words/en/findingWords'
import { useFormats } from '@/ui/workbench/useFormats'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

/** The finding in plain words and the gap with its interval, with the decimals chosen for this claim. */
export function useFindingWords():
  Readonly<{ sentence: string; effect: string; figures: string }> | undefined {
  const { checked } = useWorkbench()
  const formats = useFormats()
  const { display } = formats
  if (!checked) return undefined
  const { document, result } = checked
  const { finding, test, estimate, sample, interval } = result
  const shared = { outcome: finding.outcome, claim: document.claim, estimate, interval }
  return {
    sentence: findingSentence({
      ...shared,
      significanceLevel: test.significanceLevel,
      sample,
      display,
    }),
    effect: effectWords(shared, display),
    figures: writtenUp(result, formats),
  }
}
