import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { SpecificationView } from '@/features/specification/SpecificationView'
import { readCase } from '@/server/docket/docket'
import { readSamplesOf } from '@/server/sample/readSample'
import { crumbsOfCase } from '@/ui/caseTitle'
import { PageHeader } from '@/ui/PageHeader'

type Props = Readonly<{ params: Promise<{ caseId: string }> }>

export const metadata: Metadata = { title: 'Bring in a specification' }

export default async function SpecificationPage({ params }: Props) {
  const found = await readCase((await params).caseId)
  if (!found) notFound()
  const samples = (await readSamplesOf(found.id))
    .filter(({ isDiscarded }) => !isDiscarded)
    .map(({ id, name: own, fileName, columns }, at) => ({
      ...{ id, name: own || fileName || `Sample ${at + 1}` },
      columns: columns.map(({ name, label, unit }) => ({ name, label, unit })),
    }))
  return (
    <>
      <PageHeader crumbs={[...crumbsOfCase(found.id, found), { text: 'Specification' }]} />
      <SpecificationView caseId={found.id} samples={samples} />
    </>
  )
}
