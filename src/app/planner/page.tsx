import type { Metadata } from 'next'
import { PlannerView } from '@/features/planner/PlannerView'
import { plainWords } from '@/server/programs/plainWords'
import { PageHeader } from '@/ui/PageHeader'

type Props = Readonly<{ searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>> }>

export const metadata: Metadata = { title: 'Planner' }

export default async function PlannerPage({ searchParams }: Props) {
  return (
    <>
      <PageHeader place="planner" />
      <PlannerView asked={plainWords(await searchParams)} />
    </>
  )
}
