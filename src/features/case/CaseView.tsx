import { Box, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { formatCount } from '@/core/wording/figures'
import type { FindingOutcome } from '@/core/claim/finding'
import type { ClaimWords } from '@/core/wording/claimTitle'
import type { SampleKind } from '@/core/sample/sampleDraft'
import { Button, QuietButton } from '@/ui/Button'
import { ClaimMark } from '@/ui/ClaimMark'
import { TextLink } from '@/ui/TextLink'
import { addNewClaim, addNewSample } from './actions'
import { type CaseText, CaseWords } from './CaseWords'

type SampleWords = Readonly<{
  id: string
  name: string
  kind: SampleKind
  fileName: string | null
  rowCount: number | null
}>

const KIND_WORDS: Readonly<Record<SampleKind, string>> = {
  typed: 'typed readings',
  file: 'a file',
  summary: 'summary figures',
  count: 'a count',
}

/** One case: what it is about, who makes its claims, and the claims with their findings. */
export function CaseView({
  id,
  words,
  claims,
  samples,
}: Readonly<{
  id: string
  words: CaseText
  claims: readonly (ClaimWords & Readonly<{ id: string; outcome: FindingOutcome | null }>)[]
  samples: readonly SampleWords[]
}>) {
  return (
    <Box as="main" maxWidth="960px" marginInline="auto" padding="28px 24px 64px">
      <CaseWords id={id} words={words} />
      <ListHeading title="Claims">
        <form action={addNewClaim.bind(null, id)}>
          <Button type="submit">Add a claim</Button>
        </form>
      </ListHeading>
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
      <ListHeading title="Samples">
        <form action={addNewSample.bind(null, id)}>
          <QuietButton type="submit">Add a sample</QuietButton>
        </form>
      </ListHeading>
      <Box as="ol" borderBottom="1px solid" borderColor="rule" aria-label="Samples">
        {samples.map((sample, at) => (
          <Box as="li" key={sample.id} borderTop="1px solid" borderColor="rule">
            <TextLink
              href={`/cases/${id}/samples/${sample.id}`}
              display="block"
              paddingBlock="10px"
              fontSize="16px"
            >
              {sample.name || sample.fileName || `Sample ${at + 1}`}
              <Box as="span" color="quiet" fontSize="14px">
                {' '}
                {KIND_WORDS[sample.kind]}
                {sample.rowCount !== null && `, ${formatCount(sample.rowCount)} rows`}
              </Box>
            </TextLink>
          </Box>
        ))}
      </Box>
    </Box>
  )
}

/** What a list holds, and beside it what adds to it. */
function ListHeading({ title, children }: Readonly<{ title: string; children: ReactNode }>) {
  return (
    <Flex justify="space-between" align="baseline" marginTop="36px" marginBottom="12px">
      <Box as="h2" fontSize="14px" fontWeight="600" color="quiet">
        {title}
      </Box>
      {children}
    </Flex>
  )
}
