'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import { useRouter } from 'next/navigation'
import { useId, useMemo, useState } from 'react'
import { takesLongToAnswer } from '@/answers/claim'
import type { FindingOutcome } from '@/claims/finding'
import { enteredByOf } from '@/desk/signature'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { signedOnWords } from '@/words/en/signatureWords'
import { BalanceMark } from '@/ui/BalanceMark'
import { Button } from '@/ui/Button'
import { FieldLabel } from '@/ui/FieldLabel'
import type { DeviceKey } from '@/ui/signing/keyStore'
import { Signer, useSigner } from '@/ui/signing/Signer'
import type { Seen } from '@/ui/signing/signWithKey'
import { TextArea } from '@/ui/TextBox'
import { TextLink } from '@/ui/TextLink'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { sign, toSign } from './actions'
import { useFingerprint } from './useFingerprint'

/** A signed finding as a list shows it. */
export type SignedLine = Readonly<{
  number: number
  signedBy: string
  signedOn: string
  createdAt: Date
  outcome: FindingOutcome
  coreVersion: string
  fingerprint: string
  inputFingerprint: string
  jws: string
}>

type Place = Readonly<{ caseId: string; claimId: string; signed: readonly SignedLine[] }>

/** Signs the finding, and lists those that were signed: each stays as it was, whatever becomes of the claim. */
export function Signing({ caseId, claimId, signed }: Place) {
  const { draft, found, isStale, saving } = useWorkbench()
  const document = isStale ? undefined : found?.document
  const { remarks } = draft
  const inputs = useMemo(() => document && { document, remarks }, [document, remarks])
  const fingerprint = useFingerprint(inputs, document !== undefined && takesLongToAnswer(document))
  const [latest] = signed
  const isSigned = latest !== undefined && latest.inputFingerprint === fingerprint
  return (
    <Box marginTop="16px" role="group" aria-label="Signature">
      {document && !isSigned && fingerprint && (
        <SignForm
          claimId={claimId}
          fingerprint={fingerprint}
          isStored={saving.state.kind === 'saved'}
          replaced={latest?.number}
        />
      )}
      {isSigned && <p>This finding is signed as it stands.</p>}
      {signed.length > 0 && <SignedList caseId={caseId} claimId={claimId} signed={signed} />}
    </Box>
  )
}

function SignForm({
  claimId,
  fingerprint,
  isStored,
  replaced,
}: Readonly<{
  claimId: string
  fingerprint: string
  isStored: boolean
  /** The signed finding that stands so far. */
  replaced: number | undefined
}>) {
  const router = useRouter()
  const signer = useSigner()
  const { name, officer, day, key } = signer
  const enteredBy = enteredByOf({ signedBy: name, by: officer })
  const [reason, setReason] = useState('')
  const [problem, setProblem] = useState('')
  const [isSigning, setSigning] = useState(false)
  const problemId = useId()
  const { found } = useWorkbench()
  const submit = async () => {
    setSigning(true)
    const signature = { signedBy: name, by: officer, signedOn: day, inputFingerprint: fingerprint, reason }
    const seen = { ...signature, signedBy: name.trim(), reason: reason.trim(), result: found?.result }
    const problem = await signed(claimId, { signature, seen, key })
    setSigning(false)
    setProblem(problem)
    if (problem === '') router.refresh()
  }
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        void submit()
      }}
    >
      {replaced !== undefined && (
        <>
          <p>
            The claim, its evidence or its test has changed since it was signed. Signing again replaces signed
            finding {replaced}, which stays on the record.
          </p>
          <FieldLabel>
            Why it replaces signed finding {replaced}
            <TextArea
              aria-label={`Why it replaces signed finding ${replaced}`}
              maxLength={2000}
              maxWidth="72ch"
              value={reason}
              onChange={({ target }) => setReason(target.value)}
            />
          </FieldLabel>
        </>
      )}
      <Signer signer={signer}>
        <Button
          type="submit"
          disabled={isSigning || !isStored}
          aria-describedby={problem ? problemId : undefined}
        >
          Sign the finding
        </Button>
      </Signer>
      {enteredBy !== undefined && (
        <Box color="quiet" fontSize="13px" marginTop="4px">
          {enteredBy} works at this browser: what is signed, and the trail, say so beside the name that signs.
        </Box>
      )}
      {problem && (
        <Box id={problemId} role="alert" color="finding.contradicted" marginTop="6px">
          {problem}
        </Box>
      )}
    </form>
  )
}

/** @returns what kept it from being signed; empty where it is */
async function signed(
  claimId: string,
  { signature, seen, key }: Readonly<{ signature: object; seen: Seen; key: DeviceKey | undefined }>,
): Promise<string> {
  try {
    const asked = key && (await toSign(claimId, signature))
    if (asked?.ok === false) return asked.problem.message
    // What signs is loaded where it is wanted: few pages are signed.
    const jws =
      asked && (await (await import('@/ui/signing/signWithKey')).signWithKey(key!, asked.value, seen))
    if (asked && !jws)
      return 'What is stored is not what this page shows. Load the page again, look at the finding and sign it then.'
    const outcome = await sign(claimId, { ...signature, ...(jws ? { jws } : {}) })
    return outcome.ok ? '' : outcome.problem.message
  } catch (error) {
    return `It was not signed: ${error instanceof Error ? error.message : String(error)}.`
  }
}

function SignedList({ caseId, claimId, signed }: Place) {
  return (
    <Box as="ol" aria-label="Signed findings" marginTop="12px">
      {signed.map(({ number, signedBy, signedOn, createdAt, outcome, coreVersion, fingerprint, jws }) => (
        <Flex as="li" key={number} gap="10px" align="center" paddingBlock="3px" wrap="wrap">
          <BalanceMark mark={outcome} height={18} />
          <TextLink href={`/cases/${caseId}/claims/${claimId}/findings/${number}`} color="accent">
            Signed finding {number}: {OUTCOME_WORDS[outcome]}
          </TextLink>
          <Box as="span" color="quiet">
            by {signedBy}, {signedOnWords({ signedOn, createdAt: createdAt.toISOString() })},{' '}
            {jws ? 'with a key' : 'by name'}, core {coreVersion}, fingerprint{' '}
            <chakra.span fontFamily="mono">{fingerprint.slice(0, 12)}…</chakra.span>
          </Box>
        </Flex>
      ))}
    </Box>
  )
}
