import type { Metadata } from 'next'
import { InstrumentsView } from '@/features/instruments/InstrumentsView'
import { readInstruments } from '@/server/instruments/instruments'
import { PageHeader } from '@/ui/PageHeader'

export const metadata: Metadata = { title: 'Instruments' }
export const dynamic = 'force-dynamic'

export default async function InstrumentsPage() {
  return (
    <>
      <PageHeader place="instruments" />
      <InstrumentsView instruments={await readInstruments()} />
    </>
  )
}
