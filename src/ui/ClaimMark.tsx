'use client'

import { Box, chakra, Flex } from '@chakra-ui/react'
import type { FindingOutcome } from '@/claims/finding'
import { claimTitle } from '@/words/en/claimTitle'
import type { ClaimWords } from '@/desk/claimDraft'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { BalanceMark, MARK_COLOUR } from './BalanceMark'

/** A claim in a line, with the mark of its finding and the word for it. */
export function ClaimMark({
  claim,
}: Readonly<{ claim: ClaimWords & Readonly<{ outcome: FindingOutcome | null; isComputing: boolean }> }>) {
  const mark = claim.outcome ?? 'open'
  return (
    <Flex align="center" gap="12px" paddingBlock="2px">
      <BalanceMark mark={mark} height={18} />
      <Box minWidth="0" flex="1">
        {claimTitle(claim)}
      </Box>
      <chakra.span color={MARK_COLOUR[mark]} fontWeight="600" whiteSpace="nowrap">
        {claim.isComputing ? 'Being computed' : OUTCOME_WORDS[mark]}
      </chakra.span>
    </Flex>
  )
}
