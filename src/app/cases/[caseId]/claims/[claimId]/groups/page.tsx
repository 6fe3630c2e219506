import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { ColumnOfGroups } from '@/features/groups/Choices'
import { GroupsView, NothingCompared } from '@/features/groups/GroupsView'
import { readClaim } from '@/server/claim/readClaim'
import { readGroups } from '@/server/groups/groups'
import { crumbsOfCase } from '@/ui/caseTitle'
import { PageHeader } from '@/ui/PageHeader'

type Props = Readonly<{ params: Promise<{ caseId: string; claimId: string }> }>

export const metadata: Metadata = { title: 'Group by group' }

export default async function GroupsPage({ params }: Props) {
  const { caseId, claimId } = await params
  const found = await readClaim(caseId, claimId)
  if (!found) notFound()
  const { claim, sample, ownCase, title } = found
  const { draft } = claim
  const columns = sample.draft.columns.filter(({ name }) => name !== draft.column)
  const choice = (
    <ColumnOfGroups key={draft.groupsBy} claimId={claimId} column={draft.groupsBy} columns={columns} />
  )
  const compared = draft.groupsBy === '' ? undefined : await readGroups(draft)
  const place = { caseId, claimId }
  return (
    <>
      <PageHeader
        crumbs={[
          ...crumbsOfCase(caseId, ownCase),
          { text: 'The claim', href: `/cases/${caseId}/claims/${claimId}` },
          { text: 'Group by group' },
        ]}
      />
      {compared?.ok ? (
        <GroupsView
          {...place}
          title={title}
          what="groups"
          name={draft.groupsBy}
          draft={draft}
          codes={sample.draft.columns.find(({ name }) => name === draft.groupsBy)?.codes}
          compared={{
            lines: compared.value.groups,
            ...(compared.value.between ? { between: compared.value.between } : {}),
          }}
        >
          {choice}
        </GroupsView>
      ) : (
        <NothingCompared
          {...place}
          title={title}
          message={
            compared?.problem.message ??
            'Choose the column whose entries name the groups: the depot, line, batch, shop or week of each row.'
          }
        >
          {choice}
        </NothingCompared>
      )}
    </>
  )
}
