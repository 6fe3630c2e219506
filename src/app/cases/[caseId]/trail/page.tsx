import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { Suspense } from 'react'
import { RecordNotes } from '@/features/trail/RecordNotes'
import { Seals } from '@/features/trail/Seals'
import { subjectsOf } from '@/features/trail/subjects'
import { readTrailChoice } from '@/features/trail/trailChoice'
import { TrailView } from '@/features/trail/TrailView'
import { readSamplesOf } from '@/server/sample/readSample'
import { readRecord, readTrail } from '@/server/case/readTrail'
import { authority, readSeals } from '@/server/seal/sealTrail'
import { readCase } from '@/server/docket/docket'
import { caseTitle, crumbsOfCase } from '@/ui/caseTitle'
import { PageHeader } from '@/ui/PageHeader'

const PAGE_SIZE = 100

type Props = Readonly<{
  params: Promise<{ caseId: string }>
  searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>
}>

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const found = await readCase((await params).caseId)
  return { title: found ? `Trail · ${caseTitle(found)}` : 'No such case' }
}

export default async function TrailPage({ params, searchParams }: Props) {
  const { caseId } = await params
  const asked = await searchParams
  const isAnew = asked.check === 'now'
  const choice = readTrailChoice(asked)
  const { text, action, about, page } = choice
  const question = { ...(text ? { text } : {}), ...(action ? { action } : {}), ...(about ? { about } : {}) }
  const found = await readTrail(caseId, { ...question, page, pageSize: PAGE_SIZE }, isAnew)
  if (!found) notFound()
  const { ownCase, ...trail } = found
  return (
    <>
      <PageHeader crumbs={[...crumbsOfCase(caseId, ownCase), { text: 'Trail' }]} />
      <TrailView
        {...trail}
        caseId={caseId}
        choice={choice}
        pageSize={PAGE_SIZE}
        record={
          <Suspense>
            <RecordOf caseId={caseId} isAnew={isAnew} />
            <SealsOf caseId={caseId} />
          </Suspense>
        }
        subjects={subjectsOf([...ownCase.claims, ...ownCase.discarded], await readSamplesOf(caseId))}
      />
    </>
  )
}

async function RecordOf({ caseId, isAnew }: Readonly<{ caseId: string; isAnew: boolean }>) {
  const checked = await readRecord(caseId, isAnew)
  return checked && <RecordNotes {...checked.verdict} checkedAt={checked.checkedAt.toISOString()} />
}

async function SealsOf({ caseId }: Readonly<{ caseId: string }>) {
  return <Seals caseId={caseId} seals={await readSeals(caseId)} isSimulated={authority() === undefined} />
}
