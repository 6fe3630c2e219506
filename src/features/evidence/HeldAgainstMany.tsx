'use client'

import { Box } from '@chakra-ui/react/box'
import { parameterOf } from '@/claims/all'
import { isControlled } from '@/desk/claimDraft'
import { TextLink } from '@/ui/TextLink'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

/** The same claim against each of many groups, or against other lots. */
export function HeldAgainstMany({ caseId }: Readonly<{ caseId: string }>) {
  const { draft, claimId } = useWorkbench()
  const address = `/cases/${caseId}/claims/${claimId}`
  const isOfTwo = parameterOf(draft.parameter).sample === 'two' && !isControlled(draft)
  return (
    <Box as="p" marginTop="10px">
      {!isOfTwo && (
        <>
          <TextLink href={`${address}/groups`} color="accent">
            Hold it against each group{draft.groupsBy && ` of ${draft.groupsBy}`}
          </TextLink>
          {' · '}
        </>
      )}
      <TextLink href={`${address}/lots`} color="accent">
        Hold it against other lots{draft.lots.length > 0 && ` (${draft.lots.length})`}
      </TextLink>
    </Box>
  )
}
