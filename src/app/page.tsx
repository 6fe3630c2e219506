import type { Metadata } from 'next'
import { Docket } from '@/features/docket/Docket'
import { readChoice } from '@/features/docket/docketView'
import { DEMO_CASES, hasDemo } from '@/server/docket/demo'
import { hasCases, readDocket } from '@/server/docket/docket'
import { PageHeader } from '@/ui/PageHeader'

export const metadata: Metadata = { title: 'Docket' }
export const dynamic = 'force-dynamic'

const PAGE_SIZE = 25

type Props = Readonly<{ searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>> }>

export default async function DocketPage({ searchParams }: Props) {
  const choice = readChoice(await searchParams)
  const { outcome, ...rest } = choice
  const asked = outcome === 'any' ? rest : { ...rest, outcome }
  const { cases, total } = await readDocket({ ...asked, pageSize: PAGE_SIZE })
  return (
    <>
      <PageHeader />
      <Docket
        page={{ cases, total, pageSize: PAGE_SIZE, choice }}
        isEmpty={total === 0 && !(await hasCases())}
        demo={{ count: DEMO_CASES, isLaidOut: await hasDemo() }}
      />
    </>
  )
}
