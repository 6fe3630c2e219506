import { MAX_JWS } from '@/desk/signature'
import { createHash } from 'node:crypto'
import * as z from 'zod/mini'
import type { Pieces } from '@/desk/pieces'
import { CASE_STATES, caseWordsSchema, EMPTY_CASE } from '@/desk/caseWords'
import { claimDraftSchema, EMPTY_CLAIM } from '@/desk/claimDraft'
import { OUTCOMES } from '@/claims/finding'
import { COLUMN_KINDS, EMPTY_SAMPLE, sampleDraftSchema } from '@/desk/sampleDraft'
import { sampleFileSchema } from '@/desk/sampleFile'
import { TRAIL_ACTIONS } from '@/desk/trail/chain'
import type { SampleSource } from '@/intake/claimDocument'

const instant = z.iso.datetime()
const revision = z.int().check(z.positive())
const sha256Text = z.string().check(z.regex(/^[0-9a-f]{64}$/))
const trailHash = z.union([sha256Text, z.literal('')])
const count = z.int().check(z.nonnegative())

/** A record whose missing keys take their defaults: those that were added after it was written. */
function filled<Schema extends z.ZodMiniType>(schema: Schema, defaults: object) {
  return z.pipe(
    z.transform((value) =>
      typeof value === 'object' && value !== null && !Array.isArray(value)
        ? { ...defaults, ...value }
        : value,
    ),
    schema,
  )
}

/** SHA-256 of a text in UTF-8, in hexadecimal digits. */
export const sha256 = (text: string): string => createHash('sha256').update(text, 'utf8').digest('hex')

/** `case.json`: what the case is. */
export const caseSchema = filled(
  z.strictObject({
    id: z.uuid(),
    ...caseWordsSchema.shape,
    state: z.enum(CASE_STATES),
    createdAt: instant,
    updatedAt: instant,
  }),
  EMPTY_CASE,
)
export type ContentCase = Readonly<z.infer<typeof caseSchema>>

/** `claims/NN.json`: a claim as it was typed. */
export const contentClaimSchema = z.strictObject({
  id: z.uuid(),
  revision,
  createdAt: instant,
  updatedAt: instant,
  draft: filled(claimDraftSchema, EMPTY_CLAIM),
})
export type ContentClaim = Readonly<z.infer<typeof contentClaimSchema>>

const columnHeadSchema = z.strictObject({
  name: z.string(),
  kind: z.enum(COLUMN_KINDS),
  length: count,
  missing: count,
})

/** `samples/NN.json`: a sample as it was described; the cells of its file are in `samples/NN.csv`. */
export const sampleRecordSchema = z.strictObject({
  id: z.uuid(),
  revision,
  createdAt: instant,
  updatedAt: instant,
  draft: filled(sampleDraftSchema, EMPTY_SAMPLE),
  file: z.nullable(sampleFileSchema),
  columns: z.array(columnHeadSchema),
})
export type SampleRecord = Readonly<z.infer<typeof sampleRecordSchema>>

export type ContentSample = Omit<SampleRecord, 'columns'> &
  SampleSource &
  Readonly<{
    /** The file that it was brought in from, byte for byte; undefined where it was not kept. */
    original?: () => Promise<Pieces | undefined>
  }>

/** `findings/NN-MM.json`: a finding as it was signed; `signed` is the text whose bytes the fingerprint is of. */
export const contentFindingSchema = z.strictObject({
  id: z.uuid(),
  claimId: z.uuid(),
  number: z.int().check(z.positive()),
  signedBy: z.string(),
  signedOn: z.string(),
  outcome: z.enum(OUTCOMES),
  coreVersion: z.string(),
  inputFingerprint: sha256Text,
  fingerprint: sha256Text,
  createdAt: instant,
  signed: z.string(),
  /** The signature by a key, a compact JWS; empty where it was signed by name alone. */
  jws: z._default(z.string().check(z.maxLength(MAX_JWS)), ''),
})
export type ContentFinding = Readonly<z.infer<typeof contentFindingSchema>>

/** A line of `trail.ndjson`. */
export const trailEntrySchema = z.strictObject({
  id: z.uuid(),
  caseId: z.uuid(),
  number: z.int().check(z.positive()),
  at: instant,
  who: z.string(),
  action: z.enum(TRAIL_ACTIONS),
  claimId: z.nullable(z.uuid()),
  sampleId: z.nullable(z.uuid()),
  detail: z.string(),
  before: z.string(),
  after: z.string(),
  previous: trailHash,
  hash: sha256Text,
})

export const manifestSchema = z.strictObject({
  kind: z.literal('true-weight-case-file'),
  /** Told apart before anything else is read: see `versions`. */
  version: z.int().check(z.positive()),
  coreVersion: z.string(),
  caseId: z.uuid(),
  trail: z.strictObject({ length: count, hash: trailHash }),
  files: z.array(z.strictObject({ path: z.string(), bytes: count, sha256: sha256Text })),
})
export type Manifest = Readonly<z.infer<typeof manifestSchema>>

/** A case with everything in it, wherever it is kept. */
export type CaseContent = Readonly<{
  case: ContentCase
  /** In their order. */
  claims: readonly ContentClaim[]
  samples: readonly ContentSample[]
  findings: readonly ContentFinding[]
  /** Time stamps over its trail (RFC 3161, in DER), the first first. */
  seals: readonly Uint8Array[]
  trail: readonly Readonly<z.infer<typeof trailEntrySchema>>[]
  /** Where the trail stands. */
  head: Manifest['trail']
}>
