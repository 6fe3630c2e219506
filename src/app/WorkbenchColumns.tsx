import { Box } from '@chakra-ui/react/box'
import { Grid } from '@chakra-ui/react/grid'
import type { ComponentProps, ReactNode } from 'react'
import { ClaimSection } from '@/features/claim/ClaimSection'
import { ConditionsSection } from '@/features/conditions/ConditionsSection'
import { CrossExaminationSection } from '@/features/crossexamination/CrossExaminationSection'
import { EvidenceSection } from '@/features/evidence/EvidenceSection'
import { BenchPanel } from '@/features/finding/BenchPanel'
import { FindingSection } from '@/features/finding/FindingSection'
import { TestSection } from '@/features/method/TestSection'
import { HistoryButtons } from '@/ui/history/HistoryProvider'
import { Main } from '@/ui/Main'
import { type Crumb, PageHeader, type PlaceName } from '@/ui/PageHeader'
import { Shortcuts } from '@/ui/Shortcuts'
import { SectionMenu } from '@/ui/workbench/SectionMenu'
import { SectionNav } from '@/ui/workbench/SectionNav'
import { WorkbenchSaving } from '@/ui/workbench/WorkbenchSaving'

const SECTIONS = [
  { id: 'claim', title: 'Claim', Part: ClaimSection },
  { id: 'evidence', title: 'Evidence', Part: EvidenceSection },
  { id: 'conditions', title: 'Conditions', Part: ConditionsSection },
  { id: 'test', title: 'Test', Part: TestSection },
  { id: 'cross-examination', title: 'Cross-examination', Part: CrossExaminationSection },
  { id: 'finding', title: 'Finding', Part: FindingSection },
] as const
const NAV = SECTIONS.map(({ id, title }) => ({ id, title }))

type Told = Omit<
  ComponentProps<typeof ClaimSection> &
    ComponentProps<typeof EvidenceSection> &
    ComponentProps<typeof CrossExaminationSection> &
    ComponentProps<typeof FindingSection>,
  'number'
>

/** The workbench as a page: its sections in the order of the job, and the finding so far beside them. */
export function WorkbenchColumns({
  place,
  crumbs,
  before,
  after,
  told,
}: Readonly<{
  place: PlaceName
  crumbs?: readonly Crumb[]
  before?: ReactNode
  after?: ReactNode
  /** What the sections have to be told. */
  told: Told
}>) {
  return (
    <>
      <PageHeader place={place} {...(crumbs ? { crumbs } : {})}>
        <SectionMenu sections={NAV} />
        <HistoryButtons />
        <WorkbenchSaving />
        <Shortcuts sections={NAV} />
      </PageHeader>
      <Grid templateColumns={{ base: '1fr', md: '1fr 380px', lg: '152px 1fr 412px' }} alignItems="start">
        <Box paddingLeft="24px" paddingTop="26px" position="sticky" top="46px" hideBelow="lg">
          <SectionNav sections={NAV} />
        </Box>
        <Main minWidth="0" padding="26px 32px 48px 24px">
          {before}
          {SECTIONS.map(({ id, Part }, index) => (
            <Part key={id} number={index + 1} {...told} />
          ))}
          {after}
        </Main>
        <BenchPanel />
      </Grid>
    </>
  )
}
