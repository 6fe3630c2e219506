import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { ReportView } from '@/features/report/ReportView'
import { optionsOf, readReport } from '@/server/report/readReport'
import { readCase } from '@/server/docket/docket'
import { caseTitle, crumbsOfCase } from '@/ui/caseTitle'
import { PageHeader } from '@/ui/PageHeader'

type Props = Readonly<{
  params: Promise<{ caseId: string }>
  searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>
}>

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const found = await readCase((await params).caseId)
  return { title: found ? `Report · ${caseTitle(found)}` : 'No such case' }
}

export default async function ReportPage({ params, searchParams }: Props) {
  const { caseId } = await params
  const found = await readReport(caseId, optionsOf(await searchParams))
  if (!found) notFound()
  const { ownCase, ...report } = found
  return (
    <>
      <PageHeader crumbs={[...crumbsOfCase(caseId, ownCase), { text: 'Report' }]} />
      <ReportView {...report} caseId={caseId} />
    </>
  )
}
