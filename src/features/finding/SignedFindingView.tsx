'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import type { CheckDocument } from '@/claims/terms/request'
import { asksForControl } from '@/answers/claim'
import { type ClaimDocument, type ClaimResult, isControl, isTested } from '@/claims/checkAnswer'
import { type CheckResult } from '@/claims/result'
import type { ClaimDraft } from '@/desk/claimDraft'
import { departures } from '@/desk/planKept'
import { FORMATS } from '@/desk/reportOptions'
import type { SampleDraft } from '@/desk/sampleDraft'
import type { PlanOnTrail } from '@/desk/trail/planOnTrail'
import { unitsNoted } from '@/intake/scale/rows'
import { displayOf } from '@/words/display'
import { CORE_VERSION } from '@/claims/terms/version'
import { quoteWords } from '@/words/en/claimWords'
import { effectWords, findingSentence, OUTCOME_WORDS } from '@/words/en/findingWords'
import { lockedPlanWords, planKeptWords } from '@/words/en/lockedPlanWords'
import type { Signature } from '@/desk/signature'
import { FORMAT_WORDS } from '@/words/en/reportWords'
import { replacesWords, signedOnWords, signedWith } from '@/words/en/signatureWords'
import { chosenDecimals, signedLines } from '@/words/en/signedLines'
import { BalanceMark, MARK_COLOUR } from '@/ui/BalanceMark'
import { Figure } from '@/ui/figures/Figure'
import { FigureTable } from '@/ui/figures/FigureTable'
import { CriteriaTable } from '@/ui/figures/CriteriaTable'
import { PageTitle } from '@/ui/PageTitle'
import { DownloadLink } from '@/ui/DownloadLink'
import { Main } from '@/ui/Main'
import { SignedEvidence } from './SignedEvidence'

type Verified = Readonly<{
  row: Readonly<{
    number: number
    signedBy: string
    signedOn: string
    createdAt: Date
    coreVersion: string
    fingerprint: string
  }>
  signed: Readonly<{
    claim: Readonly<{ draft: ClaimDraft }>
    samples: readonly Readonly<{ id: string; draft: SampleDraft }>[]
    document: ClaimDocument
    result: ClaimResult
    enteredBy?: string
    replaces?: Readonly<{ number: number; reason: string }>
  }>
  isWhole: boolean
  signature: Signature
  coreVersion: string
  differences: readonly string[]
}>

/** A finding as it was signed, and whether it still comes to the same figures. */
export function SignedFindingView({
  claimId,
  verified,
  plan,
}: Readonly<{ claimId: string; verified: Verified; plan: PlanOnTrail | undefined }>) {
  const { row, signed } = verified
  const { document, result, claim } = signed
  const { finding } = result
  const { outcome } = finding
  const own = `/api/claims/${claimId}/findings/${row.number}`
  const words =
    isTested(result) && !asksForControl(document)
      ? wordsOf(claim.draft, document, result)
      : { sentence: finding.sentence, effect: undefined, rows: [] }
  const told = [
    result.coreVersion === CORE_VERSION
      ? undefined
      : `It was signed with core ${result.coreVersion}, in these words: “${finding.sentence}”`,
    ...('items' in finding ? (finding.items ?? []) : []),
    'beside' in finding ? finding.beside : undefined,
    finding.basis,
    plan && planWords(plan, signed),
    signed.replaces && replacesWords(signed.replaces),
    claim.draft.remarks,
    ...(isControl(result) ? result.warnings.map(({ message }) => message) : []),
  ]
  return (
    <Main maxWidth="820px" marginInline="auto" padding="28px 24px 64px">
      <PageTitle>Signed finding {row.number}</PageTitle>
      <Flex align="center" gap="16px" marginBlock="16px">
        <BalanceMark mark={outcome} height={52} />
        <Box fontFamily="heading" fontSize="24px" fontWeight="600" color={MARK_COLOUR[outcome]}>
          {OUTCOME_WORDS[outcome]}
        </Box>
      </Flex>
      <Box as="blockquote" fontFamily="heading" fontStyle="italic" margin="0 0 12px">
        {quoteWords(claim.draft)}
      </Box>
      <Box as="p" fontFamily="heading" fontSize="18px" lineHeight="1.45">
        {words.sentence}
      </Box>
      {words.effect && (
        <Box as="p" marginTop="8px">
          {words.effect}
        </Box>
      )}
      <Box as="p" marginTop="8px" color="quiet">
        {finding.limits}
      </Box>
      <Paragraphs texts={told} />
      {words.rows.length > 0 && (
        <Box marginTop="16px">
          <FigureTable label="Figures signed" rows={words.rows} />
        </Box>
      )}
      {isControl(result) && (
        <Box marginTop="16px">
          <CriteriaTable content={result.content} />
        </Box>
      )}
      <SignedEvidence signed={signed} decimals={chosenDecimals(claim.draft)} />
      <Box as="p" marginTop="16px">
        {signedWords(verified)}
      </Box>
      <Verdict verified={verified} />
      <Flex as="p" marginTop="12px" gap="4px 18px" wrap="wrap">
        <span>Its report as</span>
        {FORMATS.map((format) => (
          <DownloadLink key={format} href={`${own}/report?format=${format}`}>
            {FORMAT_WORDS[format]}
          </DownloadLink>
        ))}
        <DownloadLink href={own}>Everything that was signed, as JSON</DownloadLink>
      </Flex>
    </Main>
  )
}

function Paragraphs({ texts }: Readonly<{ texts: readonly (string | undefined)[] }>) {
  return texts.map(
    (text) =>
      text && (
        <Box as="p" key={text} marginTop="8px" whiteSpace="pre-wrap">
          {text}
        </Box>
      ),
  )
}

function signedWords({ row, signed, signature }: Verified): string {
  const on = signedOnWords({ ...row, createdAt: row.createdAt.toISOString(), enteredBy: signed.enteredBy })
  return `Signed by ${row.signedBy} ${on}, ${signedWith(signature, true)}.`
}

/** What was kept, in what was signed, of the plan that was locked for the claim. */
function planWords(plan: PlanOnTrail, signed: Verified['signed']): string {
  const { sampleId, column } = signed.claim.draft
  const sample = signed.samples.find(({ id }) => id === sampleId)
  const noted = sample ? unitsNoted(sample.draft, column) : []
  const gone = departures(plan.plan, plan.place, signed, noted)
  return `${planKeptWords(plan, gone)} ${lockedPlanWords(plan)}`
}

/** What a test came to, with the decimals chosen for the claim. */
function wordsOf(draft: ClaimDraft, document: CheckDocument, result: CheckResult) {
  const { estimate, interval, sample, test, finding } = result
  const display = displayOf(document.claim, result, chosenDecimals(draft))
  const shared = { outcome: finding.outcome, claim: document.claim, estimate, interval }
  const { significanceLevel } = test
  return {
    sentence: findingSentence({ ...shared, significanceLevel, sample, display }),
    effect: effectWords(shared, display),
    rows: signedLines(draft, document, result).map(({ name, shown, full }) => ({
      name,
      figure: full === undefined ? shown : <Figure {...{ name, shown, full }} />,
    })),
  }
}

/** Whether it is whole, and computed again to the same figures. */
function Verdict({ verified }: Readonly<{ verified: Verified }>) {
  const { row, isWhole, differences, coreVersion } = verified
  const isSame = differences.length === 0
  return (
    <Box
      marginTop="12px"
      paddingTop="12px"
      borderTop="1px solid"
      borderColor="rule"
      role="group"
      aria-label="Computed again"
    >
      <Box color={isWhole ? 'finding.supported' : 'finding.contradicted'}>
        {isWhole
          ? 'What is stored has the fingerprint that it had when it was signed.'
          : 'What is stored has another fingerprint than when it was signed: it was altered.'}
      </Box>
      <Box fontFamily="mono" fontSize="13px" wordBreak="break-all">
        {row.fingerprint}
      </Box>
      <Box marginTop="6px" color={isSame ? 'finding.supported' : 'finding.contradicted'}>
        {isSame
          ? `Computed again with core ${coreVersion}: every figure is the same.`
          : `Computed again with core ${coreVersion} (signed with ${row.coreVersion}), these differ: ${differences.join(', ')}.`}
      </Box>
    </Box>
  )
}
