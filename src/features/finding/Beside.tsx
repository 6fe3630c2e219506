'use client'

import { Box } from '@chakra-ui/react/box'
import type { CheckResult } from '@/claims/result'
import { METHOD_WORDS } from '@/words/en/methods'
import { QuietButton } from '@/ui/Button'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

/** What a robust test comes to where a condition of the one used is not met; one click takes it. */
export function Beside({ result }: Readonly<{ result: CheckResult }>) {
  const { setField } = useWorkbench()
  const { beside, finding } = result
  if (!beside) return null
  return (
    <Box marginBlock="8px">
      {finding.beside}
      <Box marginTop="6px">
        <QuietButton type="button" onClick={() => setField('method', beside.method)}>
          Use the {METHOD_WORDS[beside.method].name}
        </QuietButton>
      </Box>
    </Box>
  )
}
