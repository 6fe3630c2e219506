import type { Metadata } from 'next'
import { Docket } from '@/features/docket/Docket'
import { readDocket } from '@/server/docket'
import { PageHeader } from '@/ui/PageHeader'

export const metadata: Metadata = { title: 'Docket' }
export const dynamic = 'force-dynamic'

export default async function DocketPage() {
  return (
    <>
      <PageHeader crumbs={[{ text: 'Docket' }]} />
      <Docket cases={await readDocket()} />
    </>
  )
}
