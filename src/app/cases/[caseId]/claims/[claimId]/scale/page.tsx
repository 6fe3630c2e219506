import { Grid } from '@chakra-ui/react/grid'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { BenchPanel } from '@/features/finding/BenchPanel'
import { ScaleView } from '@/features/scale/ScaleView'
import { readClaim } from '@/server/claim/readClaim'
import { crumbsOfCase } from '@/ui/caseTitle'
import { HistoryProvider } from '@/ui/history/HistoryProvider'
import { Main } from '@/ui/Main'
import { PageHeader } from '@/ui/PageHeader'
import { SampleProvider } from '@/ui/sample/SampleProvider'
import { ExaminationProvider } from '@/ui/workbench/ExaminationProvider'
import { WorkbenchProvider } from '@/ui/workbench/WorkbenchProvider'
import { WorkbenchSaving } from '@/ui/workbench/WorkbenchSaving'

type Props = Readonly<{ params: Promise<{ caseId: string; claimId: string }> }>

export const metadata: Metadata = { title: 'At the scale' }

export default async function ScalePage({ params }: Props) {
  const { caseId, claimId } = await params
  const found = await readClaim(caseId, claimId)
  if (!found) notFound()
  const { claim, sample, ownCase, title, told } = found
  const address = `/cases/${caseId}/claims/${claimId}`
  const { id, draft, revision, file } = sample
  return (
    <HistoryProvider>
      <SampleProvider key={id} sample={{ id, draft, revision, file }}>
        <WorkbenchProvider claimId={claimId} draft={claim.draft} revision={claim.revision}>
          <ExaminationProvider>
            <PageHeader
              crumbs={[
                ...crumbsOfCase(caseId, ownCase),
                { text: 'The claim', href: address },
                { text: 'At the scale' },
              ]}
            >
              <WorkbenchSaving />
            </PageHeader>
            <Grid templateColumns={{ base: '1fr', md: '1fr 412px' }} alignItems="start">
              <Main minWidth="0" padding="26px 32px 64px 24px">
                <ScaleView claim={title} address={address} plan={told.plan} />
              </Main>
              <BenchPanel />
            </Grid>
          </ExaminationProvider>
        </WorkbenchProvider>
      </SampleProvider>
    </HistoryProvider>
  )
}
