import type { Metadata } from 'next'
import { PlansView } from '@/features/plans/PlansView'
import { readControlPlans } from '@/server/plans/controlPlans'
import { PageHeader } from '@/ui/PageHeader'

export const metadata: Metadata = { title: 'Control plans' }
export const dynamic = 'force-dynamic'

export default async function PlansPage() {
  return (
    <>
      <PageHeader crumbs={[{ text: 'Control plans' }]} />
      <PlansView plans={await readControlPlans()} />
    </>
  )
}
