import { Box } from '@chakra-ui/react/box'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { LotChoice, Pooled } from '@/features/groups/Choices'
import { GroupsView, NothingCompared } from '@/features/groups/GroupsView'
import { readClaim } from '@/server/claim/readClaim'
import { readLotsOf } from '@/server/groups/groups'
import { crumbsOfCase } from '@/ui/caseTitle'
import { PageHeader } from '@/ui/PageHeader'

type Props = Readonly<{
  params: Promise<{ caseId: string; claimId: string }>
  searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>
}>

export const metadata: Metadata = { title: 'Lots' }

export default async function LotsPage({ params, searchParams }: Props) {
  const { caseId, claimId } = await params
  const found = await readClaim(caseId, claimId)
  if (!found) notFound()
  const { claim, ownCase, title, samples } = found
  const { draft } = claim
  const pool = (await searchParams).pool === 'yes'
  const lots = samples.map(({ id, name, fileName }, at) => ({
    id,
    name: name || fileName || `Sample ${at + 1}`,
  }))
  const choice = <LotChoice key={draft.lots.join(' ')} {...{ claimId, draft, lots, pool }} />
  const compared = draft.lots.length === 0 ? undefined : await readLotsOf(draft, { pool })
  const place = { caseId, claimId }
  return (
    <>
      <PageHeader
        crumbs={[
          ...crumbsOfCase(caseId, ownCase),
          { text: 'The claim', href: `/cases/${caseId}/claims/${claimId}` },
          { text: 'Lots' },
        ]}
      />
      {compared?.ok ? (
        <GroupsView
          {...place}
          title={title}
          what="lots"
          name="lot"
          draft={draft}
          compared={{
            lines: compared.value.lots,
            ...(compared.value.between ? { between: compared.value.between } : {}),
          }}
        >
          {choice}
          {compared.value.leftOut.map(({ label, why }) => (
            <Box as="p" key={label} color="warning" marginTop="4px">
              {label} is not among them: {why}
            </Box>
          ))}
          {compared.value.pooled && <Pooled answer={compared.value.pooled} />}
        </GroupsView>
      ) : (
        <NothingCompared
          {...place}
          title={title}
          message={
            compared?.problem.message ?? 'Choose the samples of the other lots, each of its own inspection.'
          }
        >
          {choice}
        </NothingCompared>
      )}
    </>
  )
}
