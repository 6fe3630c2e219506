import type { Metadata } from 'next'
import { ReckonerView } from '@/features/reckoner/ReckonerView'
import { plainWords } from '@/server/programs/plainWords'
import { PageHeader } from '@/ui/PageHeader'

type Props = Readonly<{ searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>> }>

export const metadata: Metadata = { title: 'Reckoner' }

export default async function ReckonerPage({ searchParams }: Props) {
  return (
    <>
      <PageHeader place="reckoner" />
      <ReckonerView asked={plainWords(await searchParams)} />
    </>
  )
}
