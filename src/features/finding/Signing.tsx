'use client'

import { Box, chakra, Flex } from '@chakra-ui/react'
import { useRouter } from 'next/navigation'
import { useId, useMemo, useState } from 'react'
import type { FindingOutcome } from '@/claims/finding'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { calendarDay } from '@/intake/reading/date'
import { BalanceMark } from '@/ui/BalanceMark'
import { Button } from '@/ui/Button'
import { useOfficer } from '@/ui/officer'
import { TextBox } from '@/ui/TextBox'
import { TextLink } from '@/ui/TextLink'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { sign } from './actions'
import { useFingerprint } from './useFingerprint'

/** A signed finding as a list shows it. */
export type SignedLine = Readonly<{
  number: number
  signedBy: string
  signedOn: string
  outcome: FindingOutcome
  coreVersion: string
  fingerprint: string
  inputFingerprint: string
}>

type Place = Readonly<{ caseId: string; claimId: string; signed: readonly SignedLine[] }>

const Label = chakra('label', { base: { display: 'grid', gap: '2px', color: 'quiet', fontSize: '13px' } })

/** Signs the finding, and lists those that were signed: each stays as it was, whatever becomes of the claim. */
export function Signing({ caseId, claimId, signed }: Place) {
  const { draft, checked, census, isStale, saving } = useWorkbench()
  const document = isStale ? undefined : (checked ?? census)?.document
  const { remarks } = draft
  const inputs = useMemo(() => document && { document, remarks }, [document, remarks])
  const fingerprint = useFingerprint(inputs)
  const [latest] = signed
  const isSigned = latest !== undefined && latest.inputFingerprint === fingerprint
  return (
    <Box marginTop="16px" role="group" aria-label="Signature">
      {document && !isSigned && fingerprint && (
        <SignForm
          claimId={claimId}
          fingerprint={fingerprint}
          isStored={saving.state.kind === 'saved'}
          isAgain={latest !== undefined}
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
  isAgain,
}: Readonly<{
  claimId: string
  fingerprint: string
  isStored: boolean
  isAgain: boolean
}>) {
  const router = useRouter()
  const [officer, setOfficer] = useOfficer()
  const [day, setDay] = useState(() => calendarDay(new Date()))
  const [problem, setProblem] = useState('')
  const [isSigning, setSigning] = useState(false)
  const problemId = useId()
  const submit = async () => {
    setSigning(true)
    const signed = await sign(claimId, { signedBy: officer, signedOn: day, inputFingerprint: fingerprint })
    setSigning(false)
    setProblem(signed.ok ? '' : signed.problem.message)
    if (signed.ok) router.refresh()
  }
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        void submit()
      }}
    >
      {isAgain && (
        <p>
          The claim, its evidence or its test has changed since it was signed. Signing again makes a new
          revision.
        </p>
      )}
      <Flex gap="14px" align="end" wrap="wrap">
        <Label>
          Signed by
          <TextBox
            aria-label="Signed by"
            value={officer}
            maxLength={500}
            onChange={(event) => setOfficer(event.target.value)}
          />
        </Label>
        <Label>
          On
          <TextBox
            aria-label="Signed on"
            type="date"
            value={day}
            onChange={(event) => setDay(event.target.value)}
          />
        </Label>
        <Button
          type="submit"
          disabled={isSigning || !isStored}
          aria-describedby={problem ? problemId : undefined}
        >
          Sign the finding
        </Button>
      </Flex>
      {problem && (
        <Box id={problemId} role="alert" color="finding.contradicted" marginTop="6px">
          {problem}
        </Box>
      )}
    </form>
  )
}

function SignedList({ caseId, claimId, signed }: Place) {
  return (
    <Box as="ol" aria-label="Signed findings" marginTop="12px">
      {signed.map(({ number, signedBy, signedOn, outcome, coreVersion, fingerprint }) => (
        <Flex as="li" key={number} gap="10px" align="center" paddingBlock="3px" wrap="wrap">
          <BalanceMark mark={outcome} height={18} />
          <TextLink href={`/cases/${caseId}/claims/${claimId}/findings/${number}`} color="accent">
            Signed finding {number}: {OUTCOME_WORDS[outcome]}
          </TextLink>
          <Box as="span" color="quiet">
            by {signedBy}, {signedOn}, core {coreVersion}, fingerprint{' '}
            <chakra.span fontFamily="mono">{fingerprint.slice(0, 12)}…</chakra.span>
          </Box>
        </Flex>
      ))}
    </Box>
  )
}
