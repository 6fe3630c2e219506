import { Box, Flex } from '@chakra-ui/react'
import type { FindingOutcome } from '@/core/claim/finding'
import type { ClaimWords } from '@/core/wording/claimTitle'
import { Button } from '@/ui/Button'
import { ClaimMark } from '@/ui/ClaimMark'
import { TextLink } from '@/ui/TextLink'
import { addNewClaim } from './actions'
import { type CaseText, CaseWords } from './CaseWords'

/** One case: what it is about, who makes its claims, and the claims with their findings. */
export function CaseView({
  id,
  words,
  claims,
}: Readonly<{
  id: string
  words: CaseText
  claims: readonly (ClaimWords & Readonly<{ id: string; outcome: FindingOutcome | null }>)[]
}>) {
  return (
    <Box as="main" maxWidth="960px" marginInline="auto" padding="28px 24px 64px">
      <CaseWords id={id} words={words} />
      <Flex justify="space-between" align="baseline" marginTop="36px" marginBottom="12px">
        <Box as="h2" fontSize="14px" fontWeight="600" color="quiet">
          Claims
        </Box>
        <form action={addNewClaim.bind(null, id)}>
          <Button type="submit">Add a claim</Button>
        </form>
      </Flex>
      <Box as="ol" borderBottom="1px solid" borderColor="rule" aria-label="Claims">
        {claims.map((claim) => (
          <Box as="li" key={claim.id} borderTop="1px solid" borderColor="rule">
            <TextLink
              href={`/cases/${id}/claims/${claim.id}`}
              display="block"
              paddingBlock="10px"
              fontSize="16px"
            >
              <ClaimMark claim={claim} />
            </TextLink>
          </Box>
        ))}
      </Box>
    </Box>
  )
}
