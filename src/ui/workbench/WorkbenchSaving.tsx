'use client'

import { SaveStatus } from '../saving/SaveStatus'
import { useSample, useSecondSample } from '../sample/SampleProvider'
import { useWorkbench } from './WorkbenchProvider'

/** Whether the claim and its sample are stored as they stand here. */
export function WorkbenchSaving() {
  const second = useSecondSample()
  const savings = [useWorkbench().saving, useSample().saving]
  return <SaveStatus savings={second ? [...savings, second.saving] : savings} />
}
