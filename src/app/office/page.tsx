import type { Metadata } from 'next'
import { OfficeView } from '@/features/office/OfficeView'
import { readOffice } from '@/server/office/office'
import { PageHeader } from '@/ui/PageHeader'

export const metadata: Metadata = { title: 'Office' }
export const dynamic = 'force-dynamic'

export default async function OfficePage() {
  return (
    <>
      <PageHeader crumbs={[{ text: 'Office' }]} />
      <OfficeView known={await readOffice()} />
    </>
  )
}
