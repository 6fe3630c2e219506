import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { TurnRow } from '@/features/case/TurnRow'
import { SampleView } from '@/features/evidence/SampleView'
import { SampleSaving } from '@/features/evidence/SampleSaving'
import { readSampleIn } from '@/server/sample/readSample'
import { caseTitle, crumbsOfCase } from '@/ui/caseTitle'
import { HistoryButtons, HistoryProvider } from '@/ui/history/HistoryProvider'
import { PageHeader } from '@/ui/PageHeader'
import { SampleProvider } from '@/ui/sample/SampleProvider'

type Props = Readonly<{ params: Promise<{ caseId: string; sampleId: string }> }>

const RESTS = 'A claim is held against this sample, so it stays.'

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { caseId, sampleId } = await params
  const found = await readSampleIn(caseId, sampleId)
  if (!found) return { title: 'No such sample' }
  const { sample, ownCase } = found
  return { title: `${sample.draft.name || sample.file?.fileName || 'Sample'} · ${caseTitle(ownCase)}` }
}

export default async function SamplePage({ params }: Props) {
  const { caseId, sampleId } = await params
  const found = await readSampleIn(caseId, sampleId)
  if (!found) notFound()
  const { sample, ownCase, trail, claimCount } = found
  const { id, draft, revision, file } = sample
  return (
    <HistoryProvider>
      <SampleProvider key={id} sample={{ id, draft, revision, file }}>
        <PageHeader crumbs={[...crumbsOfCase(caseId, ownCase), { text: 'Sample' }]}>
          <HistoryButtons />
          <SampleSaving />
        </PageHeader>
        <SampleView caseId={caseId} trail={trail}>
          <TurnRow
            caseId={caseId}
            turned={{ what: 'sample', id, isDiscarded: !draft.isDiscarded }}
            rests={claimCount === 0 ? '' : RESTS}
          />
        </SampleView>
      </SampleProvider>
    </HistoryProvider>
  )
}
