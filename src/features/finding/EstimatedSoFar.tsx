'use client'

import { Box } from '@chakra-ui/react/box'
import { NothingComputed } from '@/ui/workbench/NothingComputed'
import { useFormats } from '@/ui/workbench/useFormats'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { estimateSentence } from '@/words/en/estimateWords'
import { ClaimLineFigure } from './ClaimLineFigure'

/** What is known while the claim has no value: the estimate, its interval and the readings. */
export function EstimatedSoFar() {
  const { estimated, draft, reading } = useWorkbench()
  const { display } = useFormats()
  if (!estimated) return <NothingComputed />
  const { parameter, quantity, unit } = draft
  const subject = { parameter, quantity, unit, limit: reading.estimate?.estimate.limit }
  return (
    <>
      <p>{estimateSentence(subject, estimated, display)}</p>
      <ClaimLineFigure />
      <Box marginTop="8px">
        <NothingComputed />
      </Box>
    </>
  )
}
