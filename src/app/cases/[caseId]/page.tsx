import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { Suspense } from 'react'
import { CaseView } from '@/features/case/CaseView'
import { Together } from '@/features/case/Together'
import { type CaseWithClaims, readCase } from '@/server/docket/docket'
import { readSamplesOf } from '@/server/sample/readSample'
import { readTogether } from '@/server/case/readTogether'
import { caseTitle } from '@/ui/caseTitle'
import { PageHeader } from '@/ui/PageHeader'

type Props = Readonly<{
  params: Promise<{ caseId: string }>
  searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>
}>

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const found = await readCase((await params).caseId)
  return { title: found ? caseTitle(found) : 'No such case' }
}

export default async function CasePage({ params, searchParams }: Props) {
  const found = await readCase((await params).caseId)
  if (!found) notFound()
  const { id, state, claims, discarded } = found
  return (
    <>
      <PageHeader crumbs={[{ text: caseTitle(found) }]} />
      <CaseView
        id={id}
        state={state}
        words={found}
        claims={claims}
        discarded={discarded}
        samples={await readSamplesOf(id)}
        together={
          <Suspense>
            <TogetherOf
              caseId={id}
              claims={claims}
              wants={(await searchParams).together === 'intervals' ? 'intervals' : 'p-values'}
            />
          </Suspense>
        }
      />
    </>
  )
}

async function TogetherOf({
  caseId,
  claims,
  wants,
}: Readonly<{
  caseId: string
  claims: CaseWithClaims['claims']
  wants: 'p-values' | 'intervals'
}>) {
  return <Together claims={claims} tested={await readTogether(caseId, wants)} wants={wants} />
}
