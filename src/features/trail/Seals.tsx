'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { useState } from 'react'
import type { Seal } from '@/desk/trail/seal'
import { formatCount } from '@/words/figures'
import { sealWords } from '@/words/en/sealWords'
import { ActionButton } from '@/ui/ActionButton'
import { seal } from './actions'

/** Of many seals the last ones: they are over what the ones before were over, too. */
const SHOWN = 5

/** The time stamps over the trail of a case, and a button for another. */
export function Seals({
  caseId,
  seals,
  isSimulated,
}: Readonly<{
  caseId: string
  seals: readonly Seal[]
  /** Whether the authority that would be asked is the simulated one. */
  isSimulated: boolean
}>) {
  const [problem, setProblem] = useState('')
  return (
    <Box as="section" aria-labelledby="seals" marginTop="14px" maxWidth="72ch">
      <Box as="h2" id="seals" fontFamily="heading" fontSize="20px">
        Seals
      </Box>
      {seals.length === 0 && (
        <Box as="p" color="quiet" marginTop="4px">
          None yet. An authority outside of the office states, by a time stamp over the last hash of the
          trail, that all of it was there at that time.
        </Box>
      )}
      <Box as="ol" aria-label="Seals of the trail">
        {seals.slice(-SHOWN).map((one) => (
          <Box as="li" key={`${one.hash} ${one.at}`} marginTop="4px" wordBreak="break-word">
            {sealWords(one)}
          </Box>
        ))}
      </Box>
      {seals.length > SHOWN && (
        <Box as="p" color="quiet" marginTop="4px">
          Those before are in the case file: {formatCount(seals.length - SHOWN)}.
        </Box>
      )}
      <Flex gap="12px" align="baseline" marginTop="8px" wrap="wrap">
        <ActionButton
          action={async (by) => {
            const sealed = await seal(caseId, by)
            setProblem(sealed.ok ? '' : sealed.problem.message)
          }}
        >
          Have the trail sealed
        </ActionButton>
        {isSimulated && !seals.at(-1)?.isSimulated && (
          <Box color="quiet" fontSize="13px">
            The authority that is asked is simulated and ships with True Weight. The address of another one is
            a setting of the server.
          </Box>
        )}
      </Flex>
      {problem && (
        <Box role="alert" color="finding.contradicted" marginTop="6px">
          {problem}
        </Box>
      )}
    </Box>
  )
}
