'use client'

import { useSample } from '@/ui/sample/SampleProvider'
import { SaveStatus } from '@/ui/saving/SaveStatus'

/** Whether the sample is stored as it stands here. */
export function SampleSaving() {
  return <SaveStatus savings={[useSample().saving]} />
}
