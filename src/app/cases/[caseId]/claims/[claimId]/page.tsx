import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import type { ReactNode } from 'react'
import { TurnRow } from '@/features/case/TurnRow'
import { Signing } from '@/features/finding/Signing'
import { readControlPlans } from '@/server/plans/controlPlans'
import { readClaim, type StoredSample } from '@/server/claim/readClaim'
import { readFindingsOf } from '@/server/finding/readFinding'
import { caseTitle, crumbsOfCase } from '@/ui/caseTitle'
import { HistoryProvider } from '@/ui/history/HistoryProvider'
import { SampleProvider, type SampleState, SecondSampleProvider } from '@/ui/sample/SampleProvider'
import { ExaminationProvider } from '@/ui/workbench/ExaminationProvider'
import { WorkbenchProvider } from '@/ui/workbench/WorkbenchProvider'
import { WorkbenchColumns } from '../../../../WorkbenchColumns'

type Props = Readonly<{ params: Promise<{ caseId: string; claimId: string }> }>

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { caseId, claimId } = await params
  const found = await readClaim(caseId, claimId)
  return { title: found ? `${found.title} · ${caseTitle(found.ownCase)}` : 'No such claim' }
}

export default async function ClaimPage({ params }: Props) {
  const { caseId, claimId } = await params
  const found = await readClaim(caseId, claimId)
  if (!found) notFound()
  const { claim, sample, second, ownCase } = found
  const samples = found.samples.map(({ id, name, fileName, columns }) => ({
    ...{ id, name, fileName },
    columnNames: columns.map((column) => column.name),
  }))
  const place = ownCase.claims.findIndex(({ id }) => id === claimId) + 1
  const signed = await readFindingsOf(claimId)
  const { isDiscarded } = claim.draft
  const turnRow = (
    <TurnRow
      caseId={caseId}
      turned={{ what: 'claim', id: claimId, isDiscarded: !isDiscarded }}
      rests={signed.length === 0 ? '' : 'A signed finding rests on this claim, so it stays.'}
    />
  )
  return (
    <HistoryProvider>
      <SampleProvider key={sample.id} sample={stateOf(sample)}>
        <SecondSample key={second?.id} sample={second && stateOf(second)}>
          <WorkbenchProvider claimId={claimId} draft={claim.draft} revision={claim.revision}>
            <ExaminationProvider>
              <WorkbenchColumns
                place="docket"
                crumbs={[
                  ...crumbsOfCase(caseId, ownCase),
                  { text: `Claim ${place} of ${ownCase.claims.length}` },
                ]}
                before={isDiscarded && turnRow}
                after={!isDiscarded && turnRow}
                told={{
                  inCase: { caseId, samples },
                  byTrail: found.told,
                  plans: await readControlPlans(),
                  closing: <Signing caseId={caseId} claimId={claimId} signed={signed} />,
                }}
              />
            </ExaminationProvider>
          </WorkbenchProvider>
        </SecondSample>
      </SampleProvider>
    </HistoryProvider>
  )
}

function stateOf({ id, draft, revision, file }: StoredSample) {
  return { id, draft, revision, file }
}

function SecondSample({
  sample,
  children,
}: Readonly<{ sample: SampleState | undefined; children: ReactNode }>) {
  return sample ? <SecondSampleProvider sample={sample}>{children}</SecondSampleProvider> : <>{children}</>
}
