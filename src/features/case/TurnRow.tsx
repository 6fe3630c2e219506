import { Flex } from '@chakra-ui/react/flex'
import type { Turned } from '@/desk/caseWords'
import { ActionButton } from '@/ui/ActionButton'
import { turnAndShow } from './actions'

/**
 * Discards what the page is of, or takes it up again.
 *
 * @param rests - what rests on it and keeps it from being discarded; empty where nothing does
 */
export function TurnRow({
  caseId,
  turned,
  rests,
}: Readonly<{ caseId: string; turned: Turned; rests: string }>) {
  const { what, isDiscarded } = turned
  return (
    <Flex gap="12px" align="center" marginTop="28px" color="quiet" wrap="wrap">
      {!isDiscarded && `This ${what} is discarded: it is part of the case no more.`}
      {isDiscarded && rests !== '' ? (
        rests
      ) : (
        <ActionButton action={turnAndShow.bind(null, caseId, turned)}>
          {isDiscarded ? `Discard this ${what}` : 'Take it up again'}
        </ActionButton>
      )}
    </Flex>
  )
}
