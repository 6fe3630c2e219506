'use client'

import { SaveStatus } from '../saving/SaveStatus'
import { useSample } from '../sample/SampleProvider'
import { useWorkbench } from './WorkbenchProvider'

/** Whether the claim and its sample are stored as they stand here. */
export function WorkbenchSaving() {
  return <SaveStatus savings={[useWorkbench().saving, useSample().saving]} />
}
