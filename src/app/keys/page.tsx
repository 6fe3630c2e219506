import type { Metadata } from 'next'
import { KeysView } from '@/features/keys/KeysView'
import { readRegister } from '@/server/keys/keys'
import { PageHeader } from '@/ui/PageHeader'

export const metadata: Metadata = { title: 'Keys' }
export const dynamic = 'force-dynamic'

export default async function KeysPage() {
  const { entries, keys, brokenAt } = await readRegister()
  return (
    <>
      <PageHeader crumbs={[{ text: 'Keys' }]} />
      <KeysView keys={keys} brokenAt={brokenAt} head={entries.at(-1)?.hash} />
    </>
  )
}
