import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { CaseView } from '@/features/case/CaseView'
import { readCase } from '@/server/docket'
import { readSamplesOf } from '@/server/readSample'
import { caseTitle } from '@/ui/caseTitle'
import { PageHeader } from '@/ui/PageHeader'

type Props = Readonly<{ params: Promise<{ caseId: string }> }>

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const found = await readCase((await params).caseId)
  return { title: found ? caseTitle(found) : 'No such case' }
}

export default async function CasePage({ params }: Props) {
  const found = await readCase((await params).caseId)
  if (!found) notFound()
  const { id, reference, subject, party, claims } = found
  return (
    <>
      <PageHeader crumbs={[{ text: 'Docket', href: '/' }, { text: caseTitle(found) }]} />
      <CaseView
        id={id}
        words={{ reference, subject, party }}
        claims={claims}
        samples={await readSamplesOf(id)}
      />
    </>
  )
}
