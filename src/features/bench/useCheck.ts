'use client'

import { useMemo } from 'react'
import type { BenchCheck } from '@/desk/bench'
import { useSample, useSecondSample } from '@/ui/sample/SampleProvider'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

/** The check as it stands on the bench. */
export function useCheck(): BenchCheck {
  const { draft: claim } = useWorkbench()
  const { draft: sample } = useSample()
  const second = useSecondSample()!.draft
  return useMemo(() => ({ claim, sample, second }), [claim, sample, second])
}
