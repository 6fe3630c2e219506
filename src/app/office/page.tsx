import type { Metadata } from 'next'
import { EMPTY_OFFICE } from '@/desk/office'
import { OfficeView } from '@/features/office/OfficeView'
import { readOffice } from '@/server/office/office'
import { PageHeader } from '@/ui/PageHeader'

export const metadata: Metadata = { title: 'Office' }
export const dynamic = 'force-dynamic'

export default async function OfficePage() {
  const entry = await readOffice()
  const { office, authorisedBy } = entry?.words ?? EMPTY_OFFICE
  return (
    <>
      <PageHeader crumbs={[{ text: 'Office' }]} />
      <OfficeView
        office={{ office, authorisedBy }}
        hasTemplate={entry?.words.template !== undefined}
        changed={entry && { by: entry.changedBy, at: entry.changedAt }}
      />
    </>
  )
}
