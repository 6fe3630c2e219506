'use client'

import { Box } from '@chakra-ui/react'
import type { Field } from '@/intake/reading/fieldReader'
import { QuietButton } from '../Button'
import { useWorkbench } from './WorkbenchProvider'

export const problemsId = (field: Field) => `problem-${field}`

/** What is wrong with the texts of some fields, beside them. */
export function FieldProblems({ fields }: Readonly<{ fields: readonly Field[] }>) {
  const { reading, setFields } = useWorkbench()
  const problems = reading.problems.filter(({ field }) => fields.includes(field))
  return problems.map(({ field, message, wouldDo = [] }) => (
    <Box key={field} marginTop="6px">
      <Box as="span" id={problemsId(field)} role="alert" color="finding.contradicted">
        {message}
      </Box>
      {wouldDo.map((text) => (
        <QuietButton key={text} type="button" marginLeft="8px" onClick={() => setFields({ [field]: text })}>
          Write {text}
        </QuietButton>
      ))}
    </Box>
  ))
}
