'use client'

import type { Field } from '@/intake/reading/fieldReader'
import { ProblemLines } from '../ProblemLines'
import { useWorkbench } from './WorkbenchProvider'

/** What is wrong with the texts of some fields of the claim, beside them. */
export function FieldProblems({ fields }: Readonly<{ fields: readonly Field[] }>) {
  const { reading, setFields } = useWorkbench()
  const problems = reading.problems.filter(({ field }) => fields.includes(field))
  return <ProblemLines problems={problems} onWrite={setFields} />
}
