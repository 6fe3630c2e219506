import { setImmediate } from 'node:timers/promises'
import {
  type CaseContent,
  type ContentClaim,
  type ContentFinding,
  type ContentSample,
  sha256,
} from '@/casefile/content'
import { signatureOf } from '@/casefile/signature'
import type { RegisteredKey } from '@/desk/trail/keyRegister'
import { signedWith } from '@/words/en/signatureWords'
import { takesTwo } from '@/desk/claimDraft'
import { canonicalJson } from '@/desk/canonicalJson'
import { withAllPacks } from '@/answers/claim'
import type { Computing } from '@/answers/computing'
import type { CheckDocument } from '@/claims/terms/request'
import type { GroupsResult } from '@/answers/groups'
import type { LotsResult } from '@/answers/lots'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { readGroupwise } from '@/intake/readGroupwise'
import { type LotLeftOut, readLots } from '@/intake/readLots'
import {
  type CensusResult,
  type CheckError,
  type ClaimDocument,
  type ContentResult,
  isControl,
  isTested,
} from '@/claims/checkAnswer'
import type { ContentDocument } from '@/claims/terms/contentRequest'
import { type CheckResult } from '@/claims/result'
import { withEverything } from '@/claims/crossexamination/lists'
import type { Examination, Examined } from '@/claims/crossexamination/question'
import { toldByTrail } from '@/desk/trail/told'
import type { EstimateFigures } from '@/answers/estimateRequest'
import { decimalsOf } from '@/words/estimateDecimals'
import { type Formats, formatsFor } from '@/words/formats'
import { unitsNoted } from '@/intake/scale/rows'
import { type ClaimReading, readClaimAgainst } from '@/intake/claimDocument'
import { answersTo } from './answersTo'
import { fromTrail } from './fromTrail'

/** A check document with what it comes to, and its SHA-256 as canonical JSON. */
type Answered<Result, Document = CheckDocument> = Readonly<{
  document: Document
  result: Result
  fingerprint: string
}>

/** Everything that a report says of one claim, computed. */
export type ClaimStudy = Readonly<{
  claim: ContentClaim
  /** From 1. */
  number: number
  /** The sample, and that of the second source where it is another one. */
  samples: readonly ContentSample[]
  reading: ClaimReading
  checked?: Answered<CheckResult> &
    Readonly<{
      /** The same with everything put back that is set aside; absent where nothing is. */
      whole?: CheckResult | CensusResult
      /** Absent where it was not asked for, or the readings are too many. */
      answers?: readonly Examined[]
    }>
  /** What the claim comes to for a lot that was measured whole; there is then no test. */
  census?: Answered<CensusResult>
  /** What a control of net content comes to, and how often lots that are short pass; `whole` with what is set aside put back. */
  control?: Answered<ContentResult, ContentDocument> &
    Readonly<{ operating?: ContentResult; whole?: ContentResult }>
  /** What it comes to for each group or lot that it is held against; or why it can’t be. */
  groups?: Outcome<GroupsResult>
  lots?: Outcome<LotsResult & Readonly<{ leftOut: readonly LotLeftOut[] }>>
  /** What is known while the claim has no value. */
  estimated?: EstimateFigures
  /** What there is to tell of the trail: the plan and whether it was kept, and what was changed after the readings were in. */
  fromTrail: readonly string[]
  /** Why there is no result though everything needed is stated, in the core's words. */
  refusal?: string
  /** Chosen for the report, or for the claim. */
  decimals: number | undefined
  formats: Formats
  /** Signed, the first first; and whether what was signed is what stands now. */
  findings: readonly (ContentFinding & Readonly<{ signedHow: string; isCurrent: boolean }>)[]
}>

/** What is wanted of a study of claims. */
type Wants = Readonly<{
  /** For every claim, in place of its own. */
  decimals?: number | undefined
  /** Whether each is cross-examined. */
  isExamined: boolean
  /** By whom checks are made. */
  computing: Computing
  /** Of the register that signatures are held against. */
  keys?: readonly RegisteredKey[] | undefined
}>

/** So many claims are computed side by side: no more, so that one report leaves threads to others. */
const AT_A_TIME = 2

/** Computes what a report says of the claims of a case, and lets others go on meanwhile. */
export async function studyClaims(content: CaseContent, wants: Wants): Promise<readonly ClaimStudy[]> {
  const studies: ClaimStudy[] = []
  while (studies.length < content.claims.length) {
    await setImmediate()
    const next = content.claims.slice(studies.length, studies.length + AT_A_TIME)
    const begun = next.map((claim, at) => studyOf(claim, studies.length + at + 1, content, wants))
    studies.push(...(await Promise.all(begun)))
  }
  return studies
}

async function studyOf(
  claim: CaseContent['claims'][number],
  number: number,
  content: CaseContent,
  wants: Wants,
): Promise<ClaimStudy> {
  const { draft } = claim
  const sampleIds = new Set([
    draft.sampleId,
    ...(takesTwo(draft) && draft.secondSampleId ? [draft.secondSampleId] : []),
  ])
  const samples = content.samples.filter(({ id }) => sampleIds.has(id))
  const reading = (await readClaimAgainst(draft, async (id) => content.samples.find((one) => one.id === id)))!
  const checked = await checkedOf(reading, wants)
  const untested = checked || !reading.document ? undefined : await wants.computing.check(reading.document)
  const census =
    untested?.ok && untested.kind === 'census' ? fingerprinted(reading.document!, untested) : undefined
  const control = await controlOf(reading, wants.computing)
  const subject = checked?.document.claim ?? { parameter: draft.parameter, unit: draft.unit || undefined }
  const estimate = reading.estimate && (await wants.computing.estimate(reading.estimate))
  const estimated = estimate?.ok ? estimate.estimate : undefined
  const decimals = wants.decimals ?? reading.decimals
  const own = checked?.result ?? (estimated && decimalsOf({ ...estimated, estimate: estimated }))
  const formats = formatsFor(subject, own, decimals)
  const answered = checked ?? census ?? control?.found
  const findings = []
  const input = answered && inputOf(answered.document, draft)
  for (const finding of content.findings.filter(({ claimId }) => claimId === claim.id))
    findings.push({
      ...finding,
      signedHow: await signedHow(finding, wants.keys),
      isCurrent: finding.inputFingerprint === input,
    })
  return {
    claim,
    number,
    samples,
    fromTrail: fromTrail(
      toldByTrail(content.trail, { claimId: claim.id, sampleIds: [...sampleIds] }),
      answered,
      samples.flatMap(({ id, draft: of }) => (id === draft.sampleId ? unitsNoted(of, draft.column) : [])),
    ),
    reading,
    ...(checked ? { checked } : {}),
    ...(census ? { census } : {}),
    ...(control?.found ? { control: control.found } : {}),
    ...(await manyOf(content, draft, wants.computing)),
    ...(estimated ? { estimated } : {}),
    ...(untested?.ok === false ? { refusal: untested.error.message } : {}),
    ...(control?.refusal === undefined ? {} : { refusal: control.refusal }),
    decimals,
    formats,
    findings,
  }
}

/** By what a signed finding and what stands now are told apart: the check document and the remarks. */
export const inputOf = (document: ClaimDocument, { remarks }: ContentClaim['draft']): string =>
  sha256(canonicalJson({ document, remarks }))

/** How a finding was signed, held against a register where there is one. */
export async function signedHow(finding: ContentFinding, keys: Wants['keys']): Promise<string> {
  return signedWith(await signatureOf(finding, keys ?? []), keys !== undefined)
}

/** The claim against each group and each lot, where it is held against such. */
async function manyOf(
  { samples }: CaseContent,
  draft: ContentClaim['draft'],
  { groups, lots }: Computing,
): Promise<Pick<ClaimStudy, 'groups' | 'lots'>> {
  const sourceOf = async (id: string) => samples.find((one) => one.id === id)
  const byGroup = draft.groupsBy === '' ? undefined : await readGroupwise(draft, sourceOf)
  const byLot = draft.lots.length === 0 ? undefined : await readLots(draft, sourceOf, { pool: false })
  const { leftOut = [] } = byLot?.ok ? byLot.value : {}
  const ofLots = byLot?.ok ? outcomeOf(await lots(byLot.value.document)) : byLot
  return {
    ...(byGroup ? { groups: byGroup.ok ? outcomeOf(await groups(byGroup.value)) : byGroup } : {}),
    ...(ofLots ? { lots: ofLots.ok ? success({ ...ofLots.value, leftOut }) : ofLots } : {}),
  }
}

function outcomeOf<T extends Readonly<{ ok: boolean }>>(
  answer: T | CheckError,
): Outcome<Extract<T, { ok: true }>> {
  return answer.ok ? success(answer as Extract<T, { ok: true }>) : failure((answer as CheckError).error)
}

/** What a control comes to, or why not. */
async function controlOf(
  { control: document }: ClaimReading,
  { check }: Computing,
): Promise<Readonly<{ found?: NonNullable<ClaimStudy['control']>; refusal?: string }>> {
  const answer = document && (await check(document))
  if (!answer) return {}
  if (!answer.ok) return { refusal: answer.error.message }
  const [operating, whole] = [await check(withOperating(document)), await wholeOf(document, check)]
  return {
    found: {
      ...fingerprinted(document, answer as ContentResult),
      ...(isControl(operating) ? { operating } : {}),
      ...(whole && isControl(whole) ? { whole } : {}),
    },
  }
}

const withOperating = ({ content }: ContentDocument): ContentDocument => ({
  content: { ...content, operating: {} },
})

function wholeOf(document: ContentDocument, check: Computing['check']) {
  const everything = withAllPacks(document)
  return everything && check(everything)
}

async function checkedOf(
  reading: ClaimReading,
  { isExamined, computing }: Readonly<{ isExamined: boolean; computing: Computing }>,
): Promise<ClaimStudy['checked']> {
  const { document } = reading
  const result = document && (await computing.check(document))
  if (!document || !result || !isTested(result)) return undefined
  const { withSetAside } = reading.evidence
  const everything = withSetAside ?? withEverything(document.evidence)
  const whole = everything && (await computing.check({ ...document, evidence: everything }))
  const examination = { document, result, withSetAside } as Examination
  const answered = fingerprinted(document, result)
  const answers = isExamined ? await answersTo(examination, answered.fingerprint, computing) : undefined
  return {
    ...answered,
    ...(whole?.ok && !isControl(whole) ? { whole } : {}),
    ...(answers ? { answers } : {}),
  }
}

function fingerprinted<Result, Document>(document: Document, result: Result): Answered<Result, Document> {
  return { document, result, fingerprint: sha256(canonicalJson(document)) }
}
