import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { SignedFindingView } from '@/features/finding/SignedFindingView'
import { readTold } from '@/server/claim/readClaim'
import { readCase } from '@/server/docket/docket'
import { verifyFinding } from '@/server/finding/readFinding'
import { caseTitle, crumbsOfCase } from '@/ui/caseTitle'
import { PageHeader } from '@/ui/PageHeader'

type Props = Readonly<{ params: Promise<{ caseId: string; claimId: string; number: string }> }>

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { caseId, number } = await params
  const found = await readCase(caseId)
  return { title: found ? `Signed finding ${number} · ${caseTitle(found)}` : 'No such finding' }
}

export default async function SignedFindingPage({ params }: Props) {
  const { caseId, claimId, number } = await params
  const verified = await verifyFinding(claimId, number)
  const ownCase = verified?.signed.claim.caseId === caseId ? await readCase(caseId) : undefined
  if (!verified || !ownCase) notFound()
  const { plan } = await readTold(claimId)
  return (
    <>
      <PageHeader
        crumbs={[
          ...crumbsOfCase(caseId, ownCase),
          { text: 'Claim', href: `/cases/${caseId}/claims/${claimId}` },
          { text: `Signed finding ${number}` },
        ]}
      />
      <SignedFindingView claimId={claimId} verified={verified} plan={plan} />
    </>
  )
}
