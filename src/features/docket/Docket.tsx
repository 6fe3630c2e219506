import { Box, Flex, Grid } from '@chakra-ui/react'
import type { ClaimWords } from '@/core/wording/claimTitle'
import type { Mark } from '@/ui/BalanceMark'
import { Button } from '@/ui/Button'
import { ClaimMark } from '@/ui/ClaimMark'
import { PageTitle } from '@/ui/PageTitle'
import { TextLink } from '@/ui/TextLink'
import { openNewCase } from './actions'

export type DocketEntry = Readonly<{
  id: string
  reference: string
  subject: string
  party: string
  claims: readonly (ClaimWords & Readonly<{ id: string; outcome: Exclude<Mark, 'open'> | null }>)[]
}>

/** Every case, with the finding of each of its claims at a glance. */
export function Docket({ cases }: Readonly<{ cases: readonly DocketEntry[] }>) {
  return (
    <Box as="main" maxWidth="1120px" marginInline="auto" padding="28px 24px 64px">
      <Flex justify="space-between" align="baseline" marginBottom="18px">
        <PageTitle>Docket</PageTitle>
        <form action={openNewCase}>
          <Button type="submit">Open a case</Button>
        </form>
      </Flex>
      {cases.length === 0 ? <EmptyDocket /> : <CaseList cases={cases} />}
    </Box>
  )
}

function EmptyDocket() {
  return (
    <Box paddingBlock="32px" borderTop="1px solid" borderColor="rule">
      <Box as="p" fontFamily="heading" fontSize="18px">
        The docket is empty.
      </Box>
      <Box as="p" color="quiet" marginTop="6px">
        Open a case for the subject you are checking, then write down what is claimed and enter what was
        measured.
      </Box>
    </Box>
  )
}

function CaseList({ cases }: Readonly<{ cases: readonly DocketEntry[] }>) {
  return (
    <Box as="ul" borderBottom="1px solid" borderColor="rule" aria-label="Cases">
      {cases.map((entry) => (
        <Grid
          as="li"
          key={entry.id}
          templateColumns={{ base: '1fr', md: '110px 1fr 1.6fr' }}
          gap="4px 24px"
          alignItems="start"
          paddingBlock="14px"
          borderTop="1px solid"
          borderColor="rule"
        >
          <Box fontFamily="mono" color="quiet" lineHeight="26px">
            {entry.reference || 'No reference'}
          </Box>
          <div>
            <TextLink href={`/cases/${entry.id}`} fontFamily="heading" fontSize="18px">
              {entry.subject || 'Case without a subject'}
            </TextLink>
            <Box color="quiet">{entry.party}</Box>
          </div>
          <ul>
            {entry.claims.map((claim) => (
              <li key={claim.id}>
                <ClaimMark claim={claim} />
              </li>
            ))}
          </ul>
        </Grid>
      ))}
    </Box>
  )
}
