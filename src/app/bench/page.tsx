import type { Metadata } from 'next'
import { BenchLine } from '@/features/bench/BenchLine'
import { BenchProvider } from '@/features/bench/BenchProvider'
import { KeepInCase } from '@/features/bench/KeepInCase'
import { readControlPlans } from '@/server/plans/controlPlans'
import { plainWords } from '@/server/programs/plainWords'
import { WorkbenchColumns } from '../WorkbenchColumns'

type Props = Readonly<{ searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>> }>

export const metadata: Metadata = { title: 'Bench' }

export default async function BenchPage({ searchParams }: Props) {
  return (
    <BenchProvider asked={plainWords(await searchParams)}>
      <WorkbenchColumns
        place="bench"
        before={<BenchLine />}
        told={{ plans: await readControlPlans(), closing: <KeepInCase /> }}
      />
    </BenchProvider>
  )
}
