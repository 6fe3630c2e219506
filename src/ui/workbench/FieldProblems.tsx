'use client'

import { Box } from '@chakra-ui/react'
import type { Field } from '@/intake/reading/fieldReader'
import { useWorkbench } from './WorkbenchProvider'

export const problemsId = (field: Field) => `problem-${field}`

/** What is wrong with the texts of some fields, beside them. */
export function FieldProblems({ fields }: Readonly<{ fields: readonly Field[] }>) {
  const { reading } = useWorkbench()
  const problems = reading.problems.filter(({ field }) => fields.includes(field))
  return problems.map(({ field, message }) => (
    <Box key={field} id={problemsId(field)} role="alert" color="finding.contradicted" marginTop="6px">
      {message}
    </Box>
  ))
}
