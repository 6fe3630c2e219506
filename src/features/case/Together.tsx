import { Box } from '@chakra-ui/react/box'
import type { FindingOutcome } from '@/claims/finding'
import { claimTitle } from '@/words/en/claimTitle'
import type { ClaimWords } from '@/desk/claimDraft'
import { formatFull, formatFullPValue, formatPercent, formatPValue } from '@/words/figures'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { SIMULTANEOUS_HEADS, simultaneousWords, togetherWords } from '@/words/en/togetherWords'
import { Figure } from '@/ui/figures/Figure'
import { TextLink } from '@/ui/TextLink'
import { DataTable } from '@/ui/figures/DataTable'

export type ClaimTogether = Readonly<{
  claimId: string
  pValue?: number
  significanceLevel: number
  outcome: FindingOutcome
  adjusted: Readonly<{ pValue: number; outcome: FindingOutcome }>
  intervals?: Readonly<{ own: string; simultaneous: string; level: number }>
}>

/** The p-values of a case's claims, and what they come to where all of them are taken together. */
export function Together({
  claims,
  tested,
  wants,
}: Readonly<{
  claims: readonly (ClaimWords & Readonly<{ id: string }>)[]
  tested: readonly ClaimTogether[]
  wants: 'p-values' | 'intervals'
}>) {
  if (tested.length < 2) return null
  const titleOf = (claimId: string) => claimTitle(claims.find(({ id }) => id === claimId)!)
  return (
    <Box as="section" aria-labelledby="together" marginTop="36px">
      <Box as="h2" id="together" fontSize="14px" fontWeight="600" color="quiet" marginBottom="8px">
        The claims taken together
      </Box>
      <p>{togetherWords(tested)}</p>
      <DataTable
        label="Adjusted p-values"
        heads={['Claim', 'Level', 'p-value', 'Adjusted', 'Finding by itself', 'Taken together']}
        rows={tested.map(({ claimId, pValue, significanceLevel, outcome, adjusted }) => [
          titleOf(claimId),
          formatPercent(significanceLevel),
          <Figure
            key="plain"
            name="p-value"
            shown={formatPValue(pValue, significanceLevel)}
            full={formatFullPValue(pValue === undefined ? {} : { pValue })}
          />,
          <Figure
            key="adjusted"
            name="Adjusted p-value"
            shown={formatPValue(adjusted.pValue, significanceLevel)}
            full={formatFull(adjusted.pValue)}
          />,
          OUTCOME_WORDS[outcome],
          adjusted.outcome === outcome ? 'the same' : OUTCOME_WORDS[adjusted.outcome],
        ])}
      />
      {wants === 'intervals' ? (
        <Simultaneous titleOf={titleOf} tested={tested} />
      ) : (
        <Box marginTop="8px">
          <TextLink href="?together=intervals" scroll={false} color="accent">
            Show intervals that hold at once
          </TextLink>
        </Box>
      )}
    </Box>
  )
}

/** Intervals of all the claims that hold at once. */
function Simultaneous({
  titleOf,
  tested,
}: Readonly<{ titleOf: (claimId: string) => string; tested: readonly ClaimTogether[] }>) {
  const each = tested.flatMap(({ claimId, intervals }) => (intervals ? [{ claimId, ...intervals }] : []))
  return (
    <Box marginTop="16px">
      <p>{simultaneousWords(each.map(({ level }) => level))}</p>
      <DataTable
        label="Simultaneous intervals"
        heads={SIMULTANEOUS_HEADS}
        rows={each.map(({ claimId, own, simultaneous }) => [titleOf(claimId), own, simultaneous])}
      />
    </Box>
  )
}
