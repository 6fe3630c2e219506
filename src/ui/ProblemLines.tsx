'use client'

import { Box } from '@chakra-ui/react/box'
import type { FieldProblem } from '@/intake/reading/fieldReader'
import { QuietButton } from './Button'

export const problemsId = (field: string) => `problem-${field}`

/**
 * What is wrong with the texts of some fields, and what would do in their place.
 *
 * @param onWrite - puts what would do into its field
 */
export function ProblemLines({
  problems,
  onWrite,
}: Readonly<{
  problems: readonly FieldProblem<string>[]
  onWrite: (change: Record<string, string>) => void
}>) {
  return problems.map(({ field, message, wouldDo = [] }) => (
    <Box key={field} marginTop="6px">
      <Box as="span" id={problemsId(field)} role="alert" color="finding.contradicted">
        {message}
      </Box>
      {wouldDo.map((text) => (
        <QuietButton key={text} type="button" marginLeft="8px" onClick={() => onWrite({ [field]: text })}>
          Write {text}
        </QuietButton>
      ))}
    </Box>
  ))
}
