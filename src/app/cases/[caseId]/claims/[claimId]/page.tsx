import { Box, Grid } from '@chakra-ui/react'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import type { ReactNode } from 'react'
import { ClaimSection } from '@/features/claim/ClaimSection'
import { ConditionsSection } from '@/features/conditions/ConditionsSection'
import { CrossExaminationSection } from '@/features/crossexamination/CrossExaminationSection'
import { EvidenceSection } from '@/features/evidence/EvidenceSection'
import { TurnRow } from '@/features/case/TurnRow'
import { BenchPanel } from '@/features/finding/BenchPanel'
import { FindingSection } from '@/features/finding/FindingSection'
import { TestSection } from '@/features/method/TestSection'
import { readControlPlans } from '@/server/plans/controlPlans'
import { readClaim, type StoredSample } from '@/server/claim/readClaim'
import { readFindingsOf } from '@/server/finding/readFinding'
import { caseTitle, crumbsOfCase } from '@/ui/caseTitle'
import { PageHeader } from '@/ui/PageHeader'
import { HistoryButtons, HistoryProvider } from '@/ui/history/HistoryProvider'
import { SampleProvider, type SampleState, SecondSampleProvider } from '@/ui/sample/SampleProvider'
import { Shortcuts } from '@/ui/Shortcuts'
import { ExaminationProvider } from '@/ui/workbench/ExaminationProvider'
import { WorkbenchSaving } from '@/ui/workbench/WorkbenchSaving'
import { SectionMenu } from '@/ui/workbench/SectionMenu'
import { SectionNav } from '@/ui/workbench/SectionNav'
import { WorkbenchProvider } from '@/ui/workbench/WorkbenchProvider'
import { Main } from '@/ui/Main'

type Props = Readonly<{ params: Promise<{ caseId: string; claimId: string }> }>

const SECTIONS = [
  { id: 'claim', title: 'Claim', Part: ClaimSection },
  { id: 'evidence', title: 'Evidence', Part: EvidenceSection },
  { id: 'conditions', title: 'Conditions', Part: ConditionsSection },
  { id: 'test', title: 'Test', Part: TestSection },
  { id: 'cross-examination', title: 'Cross-examination', Part: CrossExaminationSection },
  { id: 'finding', title: 'Finding', Part: FindingSection },
] as const
const NAV = SECTIONS.map(({ id, title }) => ({ id, title }))

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
  const plans = await readControlPlans()
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
              <PageHeader
                crumbs={[
                  ...crumbsOfCase(caseId, ownCase),
                  { text: `Claim ${place} of ${ownCase.claims.length}` },
                ]}
              >
                <SectionMenu sections={NAV} />
                <HistoryButtons />
                <WorkbenchSaving />
                <Shortcuts sections={NAV} />
              </PageHeader>
              <Grid
                templateColumns={{ base: '1fr', md: '1fr 380px', lg: '152px 1fr 412px' }}
                alignItems="start"
              >
                <Box paddingLeft="24px" paddingTop="26px" position="sticky" top="46px" hideBelow="lg">
                  <SectionNav sections={NAV} />
                </Box>
                <Main minWidth="0" padding="26px 32px 48px 24px">
                  {isDiscarded && turnRow}
                  {SECTIONS.map(({ id, Part }, index) => (
                    <Part
                      key={id}
                      number={index + 1}
                      caseId={caseId}
                      claimId={claimId}
                      samples={samples}
                      changedAfter={found.changedAfter}
                      signed={signed}
                      plans={plans}
                    />
                  ))}
                  {!isDiscarded && turnRow}
                </Main>
                <BenchPanel />
              </Grid>
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
