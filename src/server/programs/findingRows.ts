import 'server-only'
import * as z from 'zod/mini'
import { asksForControl } from '@/answers/claim'
import { type ClaimAnswer, type ClaimDocument, isControl, isTested } from '@/claims/checkAnswer'
import { OUTCOMES } from '@/claims/finding'
import { testedTogether } from '@/claims/testedTogether'
import type { CaseWithClaims } from '@/data/caseRepository'
import { listClaims } from '@/data/claimRepository'
import type { Connection } from '@/data/client'
import { listFindings } from '@/data/findingRepository'
import { claimTitle } from '@/words/en/claimTitle'
import { openConditions } from '@/words/en/conditionWords'
import { METHOD_WORDS } from '@/words/en/methods'
import { computing } from '../compute/computing'
import { documentOf } from '../check/documentOf'
import { fingerprintOfValue } from '../fingerprint'

const figure = z.nullable(z.number())
const outcome = z.nullable(z.enum(OUTCOMES))

/** A claim with what it comes to, as a row of data; what there is not is null. */
export const findingRowSchema = z.strictObject({
  caseId: z.uuid(),
  reference: z.string(),
  subject: z.string(),
  party: z.string(),
  /** Its place in the case, from 1. */
  number: z.int(),
  claimId: z.uuid(),
  claim: z.string(),
  wording: z.string(),
  unit: z.string(),
  method: z.string(),
  n: figure,
  /** The claimed value, the estimate and the ends of its interval, on the parameter's own scale: a share from 0 to 1. */
  claimedValue: figure,
  estimate: figure,
  lower: figure,
  upper: figure,
  confidenceLevel: figure,
  significanceLevel: figure,
  pValue: figure,
  /** Adjusted by Holm for all claims of the case that were tested. */
  adjustedPValue: figure,
  outcome,
  outcomeTogether: outcome,
  /** Those that are open, in words. */
  openConditions: z.string(),
  /** Of the last signed finding of what stands now; else empty. */
  signedBy: z.string(),
  signedOn: z.string(),
  fingerprint: z.string(),
  /** Why there is no finding, where there is none. */
  why: z.string(),
})
export type FindingRow = z.infer<typeof findingRowSchema>

export const FINDING_FIELDS = Object.keys(findingRowSchema.shape) as readonly (keyof FindingRow)[]

/** The claims of a case as rows of data, computed as they stand. */
export async function findingRowsOf(db: Connection, own: CaseWithClaims): Promise<readonly FindingRow[]> {
  const claims = (await listClaims(db, own.id)).filter(({ draft }) => !draft.isDiscarded)
  const rows: FindingRow[] = []
  for (const [at, { id, draft }] of claims.entries()) {
    const document = await documentOf(db, draft)
    const answer = document && (await computing().check(document))
    const input = document && fingerprintOfValue({ document, remarks: draft.remarks })
    const signed = (await listFindings(db, id)).find(({ inputFingerprint }) => inputFingerprint === input)
    rows.push({
      ...{ caseId: own.id, reference: own.reference, subject: own.subject, party: own.party },
      ...{ number: at + 1, claimId: id, claim: claimTitle(draft), wording: draft.wording, unit: draft.unit },
      ...figuresOf(document, answer),
      ...{ adjustedPValue: null, outcomeTogether: null },
      signedBy: signed?.signedBy ?? '',
      signedOn: signed?.signedOn ?? '',
      fingerprint: signed?.fingerprint ?? '',
    })
  }
  return together(rows)
}

type Figures = Omit<
  FindingRow,
  | 'caseId'
  | 'reference'
  | 'subject'
  | 'party'
  | 'number'
  | 'claimId'
  | 'claim'
  | 'wording'
  | 'unit'
  | 'adjustedPValue'
  | 'outcomeTogether'
  | 'signedBy'
  | 'signedOn'
  | 'fingerprint'
>

const NO_FIGURES: Figures = {
  ...{ method: '', n: null, claimedValue: null, estimate: null, lower: null, upper: null },
  ...{ confidenceLevel: null, significanceLevel: null, pValue: null, outcome: null },
  ...{ openConditions: '', why: '' },
}

function figuresOf(document: ClaimDocument | undefined, answer: ClaimAnswer | undefined): Figures {
  if (!document || !answer) return { ...NO_FIGURES, why: 'The claim or its evidence is not complete.' }
  if (!answer.ok) return { ...NO_FIGURES, why: answer.error.message }
  const { outcome: found } = answer.finding
  if (isControl(answer)) {
    const { n, nominal, average, controlPlan } = answer.content
    return {
      ...NO_FIGURES,
      ...{ method: `control plan “${controlPlan.name}”`, n, claimedValue: nominal },
      ...{ estimate: nominal + average.meanError, significanceLevel: controlPlan.averageLevel },
      ...{ outcome: found, openConditions: openConditions(answer.conditions) },
    }
  }
  if (asksForControl(document)) return NO_FIGURES
  if (!isTested(answer)) {
    const { lotSize, estimate } = answer
    return {
      ...NO_FIGURES,
      ...{ method: 'the whole lot', n: lotSize, claimedValue: document.claim.value },
      ...{ estimate: estimate.value, outcome: found },
    }
  }
  const { test, interval, estimate, sample, conditions } = answer
  return {
    ...NO_FIGURES,
    ...{ method: METHOD_WORDS[test.method].name, n: sample.n, claimedValue: document.claim.value },
    ...{ estimate: estimate.value, lower: interval?.lower ?? null, upper: interval?.upper ?? null },
    ...{ confidenceLevel: interval?.level ?? null, significanceLevel: test.significanceLevel },
    ...{ pValue: test.pValue ?? null, outcome: found, openConditions: openConditions(conditions) },
  }
}

function together(rows: readonly FindingRow[]): readonly FindingRow[] {
  const tested = rows.flatMap((row) =>
    row.pValue !== null && row.outcome && row.significanceLevel !== null
      ? [{ row, pValue: row.pValue, outcome: row.outcome, significanceLevel: row.significanceLevel }]
      : [],
  )
  const adjusted = testedTogether(tested)
  const known = new Map(tested.map(({ row }, at) => [row, adjusted[at]!]))
  return rows.map((row) => {
    const own = known.get(row)
    return own ? { ...row, adjustedPValue: own.pValue, outcomeTogether: own.outcome } : row
  })
}
