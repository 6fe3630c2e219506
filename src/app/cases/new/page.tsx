import type { Metadata } from 'next'
import { NewCase } from '@/features/docket/NewCase'
import { PageHeader } from '@/ui/PageHeader'

export const metadata: Metadata = { title: 'A new case' }

export default function NewCasePage() {
  return (
    <>
      <PageHeader crumbs={[{ text: 'A new case' }]} />
      <NewCase />
    </>
  )
}
