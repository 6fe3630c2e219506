import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import type { ReactNode } from 'react'
import { type CaseState, type CaseWords as Words, caseWordsOf } from '@/desk/caseWords'
import { formatCount } from '@/words/figures'
import type { SampleKind } from '@/desk/sampleDraft'
import { ActionButton } from '@/ui/ActionButton'
import { DownloadLink } from '@/ui/DownloadLink'
import { TextLink } from '@/ui/TextLink'
import { claimTitle } from '@/words/en/claimTitle'
import { addNewClaim, addNewSample, openAfterPattern, putInState, turnAndShow } from './actions'
import { CaseWords } from './CaseWords'
import { type CaseClaim, ClaimList } from './ClaimList'
import { Main } from '@/ui/Main'

type SampleWords = Readonly<{
  id: string
  name: string
  kind: SampleKind
  fileName: string | null
  rowCount: number | null
  isDiscarded: boolean
}>

const KIND_WORDS: Readonly<Record<SampleKind, string>> = {
  typed: 'typed readings',
  file: 'a file',
  summary: 'summary figures',
  count: 'a count',
  events: 'events over an exposure',
}

/**
 * One case: what it is about, who makes its claims, and the claims with their findings.
 *
 * @param together - what the claims come to together, which takes longer to compute than the rest
 */
export function CaseView({
  id,
  state,
  words,
  claims,
  discarded,
  samples,
  together,
}: Readonly<{
  id: string
  state: CaseState
  words: Words
  claims: readonly CaseClaim[]
  discarded: readonly CaseClaim[]
  samples: readonly SampleWords[]
  together: ReactNode
}>) {
  return (
    <Main maxWidth="960px" marginInline="auto" padding="28px 24px 64px">
      <CaseWords key={`${state} ${words.closedOn}`} id={id} state={state} words={caseWordsOf(words)} />
      <Flex gap="10px 18px" wrap="wrap" align="baseline" marginTop="14px">
        <TextLink href={`/cases/${id}/report`} color="accent" fontWeight="600">
          Report
        </TextLink>
        <TextLink href={`/cases/${id}/trail`} color="accent">
          Trail
        </TextLink>
        <DownloadLink href={`/api/cases/${id}/file`}>Case file (ZIP)</DownloadLink>
        <span>
          Findings as{' '}
          <DownloadLink href={`/api/cases/${id}/findings`} textDecoration="underline">
            CSV
          </DownloadLink>{' '}
          or{' '}
          <DownloadLink href={`/api/cases/${id}/findings?format=xlsx`} textDecoration="underline">
            XLSX
          </DownloadLink>
        </span>
        <Flex gap="10px" marginInlineStart={{ base: 0, md: 'auto' }} wrap="wrap">
          <ActionButton action={openAfterPattern.bind(null, id)}>Duplicate as a template</ActionButton>
          {state === 'open' && (
            <ActionButton action={putInState.bind(null, id, 'closed')}>Close the case</ActionButton>
          )}
          {state !== 'open' && (
            <ActionButton action={putInState.bind(null, id, 'open')}>Open it again</ActionButton>
          )}
          {state === 'closed' && (
            <ActionButton action={putInState.bind(null, id, 'archived')}>Archive it</ActionButton>
          )}
        </Flex>
      </Flex>
      <ListHeading title="Claims">
        <Flex gap="10px 14px" align="baseline" wrap="wrap">
          <TextLink href={`/cases/${id}/specification`} color="accent">
            Bring in a specification
          </TextLink>
          {claims.length > 0 && (
            <DownloadLink href={`/api/cases/${id}/specification`}>Claims as a table</DownloadLink>
          )}
          <ActionButton action={addNewClaim.bind(null, id)} isMain>
            Add a claim
          </ActionButton>
        </Flex>
      </ListHeading>
      <ClaimList caseId={id} claims={claims} />
      <Discarded
        caseId={id}
        what="claim"
        lines={discarded.map((claim) => ({ id: claim.id, words: claimTitle(claim) }))}
      />
      {together}
      <Samples caseId={id} samples={samples} />
    </Main>
  )
}

/** The samples of a case, and those that are part of it no more. */
function Samples({ caseId, samples }: Readonly<{ caseId: string; samples: readonly SampleWords[] }>) {
  const kept = samples.filter(({ isDiscarded }) => !isDiscarded)
  return (
    <>
      <ListHeading title="Samples">
        <ActionButton action={addNewSample.bind(null, caseId)}>Add a sample</ActionButton>
      </ListHeading>
      <Box as="ol" borderBottom="1px solid" borderColor="rule" aria-label="Samples">
        {kept.map((sample, at) => (
          <Box as="li" key={sample.id} borderTop="1px solid" borderColor="rule">
            <TextLink
              href={`/cases/${caseId}/samples/${sample.id}`}
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
      <Discarded
        caseId={caseId}
        what="sample"
        lines={samples
          .filter(({ isDiscarded }) => isDiscarded)
          .map(({ id, name, fileName }) => ({ id, words: name || fileName || 'Sample' }))}
      />
    </>
  )
}

/** What is part of the case no more, each with a way to take it up again. */
function Discarded({
  caseId,
  what,
  lines,
}: Readonly<{
  caseId: string
  what: 'claim' | 'sample'
  lines: readonly Readonly<{ id: string; words: string }>[]
}>) {
  if (lines.length === 0) return null
  return (
    <Box as="ul" aria-label={`Discarded ${what}s`} color="quiet" marginTop="10px">
      {lines.map(({ id, words }) => (
        <Flex as="li" key={id} gap="12px" align="center" paddingBlock="3px">
          Discarded: {words}
          <ActionButton action={turnAndShow.bind(null, caseId, { what, id, isDiscarded: false })}>
            Take it up again
          </ActionButton>
        </Flex>
      ))}
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
