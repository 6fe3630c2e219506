import * as z from 'zod/mini'

/**
 * The records of a case file of version 1, as they stood when it was the newest. Nothing here is shared with today's schemas,
 * and nothing is changed: a file that was written then is read by these for ever.
 */
const instant = z.iso.datetime()
const revision = z.int().check(z.positive())
const sha256 = z.string().check(z.regex(/^[0-9a-f]{64}$/))
const sha256OrEmpty = z.union([sha256, z.literal('')])
const count = z.int().check(z.nonnegative())
const text = (longest: number) => z.string().check(z.maxLength(longest))
const words = text(500)
const decimalMark = z.enum(['point', 'comma'])
const times = { id: z.uuid(), revision, createdAt: instant, updatedAt: instant }

const rowCondition = z.strictObject({
  column: words,
  relation: z.enum([
    'is',
    'is-not',
    'one-of',
    'above',
    'at-least',
    'below',
    'at-most',
    'between',
    'is-empty',
    'is-not-empty',
  ]),
  value: text(5000),
  upTo: words,
})
const keptRows = z.array(z.array(rowCondition).check(z.minLength(1), z.maxLength(50))).check(z.maxLength(50))

const claimDraft = z.strictObject({
  source: words,
  wording: words,
  parameter: z.enum(['mean', 'standard-deviation', 'variance', 'proportion', 'variance-ratio', 'median']),
  quantity: words,
  relation: z.enum(['at-least', 'at-most', 'more-than', 'less-than', 'equal-to', 'different-from', 'within']),
  claimedValue: words,
  toleranceBelow: words,
  toleranceAbove: words,
  unit: words,
  burden: z.nullable(z.enum(['challenge', 'substantiate'])),
  significanceLevel: words,
  confidenceLevel: words,
  knownStandardDeviation: words,
  method: z.enum([
    'auto',
    't',
    'z',
    'bootstrap',
    'chi-square',
    'bonett',
    'score-z',
    'exact-binomial',
    'hypergeometric',
    'f',
    'levene',
    'brown-forsythe',
    'signed-rank',
    'sign',
  ]),
  interval: z.enum([
    'auto',
    'wilson',
    'wilson-corrected',
    'clopper-pearson',
    'agresti-coull',
    'jeffreys',
    'wald',
  ]),
  intervalSides: z.enum(['auto', 'two-sided', 'lower', 'upper']),
  continuityCorrection: z.boolean(),
  twoSidedRule: z.enum(['auto', 'minimum-likelihood', 'doubled']),
  midP: z.boolean(),
  decimals: words,
  decimalMark,
  sampleId: z.uuid(),
  column: words,
  kept: keptRows,
  counted: keptRows,
  secondSampleId: z.nullable(z.uuid()),
  secondColumn: words,
  secondKept: keptRows,
  remarks: text(20_000),
})

const columnKind = z.enum(['number', 'category', 'text', 'date'])
const sampleDraft = z.strictObject({
  name: words,
  kind: z.enum(['typed', 'file', 'summary', 'count']),
  readings: text(16_000_000),
  decimalMark,
  columns: z
    .array(z.strictObject({ name: words, label: words, unit: words, kind: columnKind, codes: text(200_000) }))
    .check(z.maxLength(400)),
  setAside: z
    .array(z.strictObject({ row: count, reason: text(2000), by: words }))
    .check(z.maxLength(100_000)),
  sampleSize: words,
  mean: words,
  spread: words,
  spreadIs: z.enum(['standard-deviation', 'variance']),
  count: words,
  drawnHow: words,
  drawnAtRandom: z.enum(['unknown', 'random', 'not-random']),
  takenIndependently: z.enum(['unknown', 'independent', 'not-independent']),
  drawnWhen: words,
  drawnWhere: words,
  drawnBy: words,
  lot: words,
  lotSize: words,
  instrument: words,
  resolution: words,
  calibratedOn: words,
})

/** Every record of version 1, by what it is of. */
export const V1_SCHEMAS = {
  case: z.strictObject({
    id: z.uuid(),
    reference: text(100),
    subject: words,
    party: words,
    people: text(20_000),
    notes: text(20_000),
    openedOn: words,
    dueOn: words,
    closedOn: words,
    state: z.enum(['open', 'closed', 'archived']),
    createdAt: instant,
    updatedAt: instant,
  }),
  claim: z.strictObject({ ...times, draft: z.required(z.partial(claimDraft), { sampleId: true }) }),
  sample: z.strictObject({
    ...times,
    draft: z.partial(sampleDraft),
    file: z.nullable(
      z.strictObject({
        fileName: z.string().check(z.minLength(1)),
        fileBytes: count,
        fileSha256: sha256,
        rowCount: z.int().check(z.positive()),
      }),
    ),
    columns: z.array(z.strictObject({ name: z.string(), kind: columnKind, length: count, missing: count })),
  }),
  finding: z.strictObject({
    id: z.uuid(),
    claimId: z.uuid(),
    number: z.int().check(z.positive()),
    signedBy: z.string(),
    signedOn: z.string(),
    outcome: z.enum(['contradicted', 'not-contradicted', 'supported', 'not-supported']),
    coreVersion: z.string(),
    inputFingerprint: sha256,
    fingerprint: sha256,
    createdAt: instant,
    signed: z.string(),
  }),
  'trail-entry': z.strictObject({
    id: z.uuid(),
    caseId: z.uuid(),
    number: z.int().check(z.positive()),
    at: instant,
    who: z.string(),
    action: z.enum([
      'opened',
      'changed',
      'closed',
      'reopened',
      'archived',
      'claim-added',
      'claim-changed',
      'claims-reordered',
      'sample-added',
      'sample-changed',
      'brought-in',
      'set-aside',
      'brought-back',
      'signed',
      'imported',
    ]),
    claimId: z.nullable(z.uuid()),
    sampleId: z.nullable(z.uuid()),
    detail: z.string(),
    before: z.string(),
    after: z.string(),
    previous: sha256OrEmpty,
    hash: sha256,
  }),
} as const
