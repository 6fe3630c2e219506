import { Box, Grid } from '@chakra-ui/react'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { ClaimSection } from '@/features/claim/ClaimSection'
import { ConditionsSection } from '@/features/conditions/ConditionsSection'
import { EvidenceSection } from '@/features/evidence/EvidenceSection'
import { BenchPanel } from '@/features/finding/BenchPanel'
import { FindingSection } from '@/features/finding/FindingSection'
import { TestSection } from '@/features/method/TestSection'
import { readClaim } from '@/server/readClaim'
import { caseTitle } from '@/ui/caseTitle'
import { PageHeader } from '@/ui/PageHeader'
import { SampleProvider } from '@/ui/sample/SampleProvider'
import { WorkbenchSaving } from '@/ui/workbench/WorkbenchSaving'
import { SectionNav } from '@/ui/workbench/SectionNav'
import { WorkbenchProvider } from '@/ui/workbench/WorkbenchProvider'

type Props = Readonly<{ params: Promise<{ caseId: string; claimId: string }> }>

const SECTIONS = [
  { id: 'claim', title: 'Claim', Part: ClaimSection },
  { id: 'evidence', title: 'Evidence', Part: EvidenceSection },
  { id: 'conditions', title: 'Conditions', Part: ConditionsSection },
  { id: 'test', title: 'Test', Part: TestSection },
  { id: 'finding', title: 'Finding', Part: FindingSection },
] as const
const NAV = SECTIONS.map(({ id, title }) => ({ id, title }))

export const metadata: Metadata = { title: 'Claim' }

export default async function ClaimPage({ params }: Props) {
  const { caseId, claimId } = await params
  const found = await readClaim(caseId, claimId)
  if (!found) notFound()
  const { claim, sample, samples, ownCase } = found
  const place = ownCase.claims.findIndex(({ id }) => id === claimId) + 1
  return (
    <SampleProvider
      key={sample.id}
      sample={{ id: sample.id, draft: sample.draft, revision: sample.revision, file: sample.file }}
    >
      <WorkbenchProvider claimId={claimId} draft={claim.draft} revision={claim.revision}>
        <PageHeader
          crumbs={[
            { text: 'Docket', href: '/' },
            { text: caseTitle(ownCase), href: `/cases/${caseId}` },
            { text: `Claim ${place} of ${ownCase.claims.length}` },
          ]}
        >
          <WorkbenchSaving />
        </PageHeader>
        <Grid templateColumns={{ base: '1fr', md: '1fr 380px', lg: '152px 1fr 412px' }} alignItems="start">
          <Box paddingLeft="24px" paddingTop="26px" position="sticky" top="46px" hideBelow="lg">
            <SectionNav sections={NAV} />
          </Box>
          <Box as="main" minWidth="0" padding="26px 32px 48px 24px">
            {SECTIONS.map(({ id, Part }, index) => (
              <Part key={id} number={index + 1} caseId={caseId} samples={samples} />
            ))}
          </Box>
          <BenchPanel />
        </Grid>
      </WorkbenchProvider>
    </SampleProvider>
  )
}
