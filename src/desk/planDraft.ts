import * as z from 'zod/mini'
import { addressWith, type AddressWords, draftFromWords, type Fields, wordsOf } from './addressWords'
import { methodOf } from '@/claims/all'
import type { Method } from '@/claims/terms/names'
import { type ClaimDraft, claimDraftSchema, EMPTY_CLAIM } from './claimDraft'
import { storedText } from './typed'

const words = storedText(500)

const planClaimSchema = z.strictObject({
  ...z.pick(claimDraftSchema, {
    parameter: true,
    quantity: true,
    relation: true,
    claimedValue: true,
    toleranceBelow: true,
    toleranceAbove: true,
    unit: true,
    exposureUnit: true,
    burden: true,
    significanceLevel: true,
    method: true,
  }).shape,
  /** How far the true value is from the claimed one, that it has to be found; of two limits, beyond them. */
  gap: words,
  /** The chance that it is found. */
  power: words,
  /** The standard deviation that readings are expected to have. */
  scatter: words,
  /** Where that is known from, such as the name of an earlier sample. */
  scatterFrom: words,
})

/** Of units, power and gap, the one that follows from the other two. */
export const PLAN_WANTED = ['units', 'power', 'gap'] as const
export type PlanWanted = (typeof PLAN_WANTED)[number]

const planSchema = z.strictObject({
  wanted: z.enum(PLAN_WANTED),
  /** How many units are taken, where that does not follow. */
  units: words,
  /** Units of the lot; empty: not said. */
  lotSize: words,
  /** The layers that the units are drawn of, "north = 400; south = 560"; empty: of the whole lot. */
  layers: words,
  /** Of the draw. */
  seed: words,
  unitCost: words,
  budget: words,
  decimalMark: claimDraftSchema.shape.decimalMark,
})

/** More claims than anybody holds against one sample. */
export const MOST_PLAN_CLAIMS = 6

export const planDraftSchema = z.strictObject({
  ...planSchema.shape,
  claims: z.array(planClaimSchema).check(z.minLength(1), z.maxLength(MOST_PLAN_CLAIMS)),
})

/** One claim that a sample is planned for, as it is typed. */
export type PlanClaim = Readonly<z.infer<typeof planClaimSchema>>
type PlanCommon = Readonly<z.infer<typeof planSchema>>
/** A sample as it is planned: for one claim, or for several. */
export type PlanDraft = PlanCommon & Readonly<{ claims: readonly PlanClaim[] }>

export const EMPTY_PLAN_CLAIM: PlanClaim = {
  parameter: EMPTY_CLAIM.parameter,
  quantity: '',
  relation: EMPTY_CLAIM.relation,
  claimedValue: '',
  toleranceBelow: '',
  toleranceAbove: '',
  unit: '',
  exposureUnit: '',
  burden: null,
  significanceLevel: '5 %',
  method: 'auto',
  gap: '',
  power: '90 %',
  scatter: '',
  scatterFrom: '',
}

const EMPTY_COMMON: PlanCommon = {
  wanted: 'units',
  units: '',
  lotSize: '',
  layers: '',
  seed: '1',
  unitCost: '',
  budget: '',
  decimalMark: 'point',
}

/** A plan of which nothing is said yet. */
export const EMPTY_PLAN: PlanDraft = { ...EMPTY_COMMON, claims: [EMPTY_PLAN_CLAIM] }

const SCATTER_DIGITS = 4

/**
 * The plan of another sample for a claim.
 *
 * @param earlier - a sample of it, and the standard deviation of its readings; none where nothing of the kind was measured
 */
export function planDraftFor(
  claim: ClaimDraft,
  earlier: Readonly<{ name: string; standardDeviation: number | undefined }>,
): PlanDraft {
  const kept = Object.keys(EMPTY_PLAN_CLAIM).flatMap((field) =>
    field in claim ? [[field, claim[field as keyof ClaimDraft]]] : [],
  )
  const { standardDeviation, name } = earlier
  const digits =
    standardDeviation === undefined ? '' : String(Number(standardDeviation.toPrecision(SCATTER_DIGITS)))
  const scatter = claim.decimalMark === 'comma' ? digits.replace('.', ',') : digits
  const own = { ...EMPTY_PLAN_CLAIM, ...(Object.fromEntries(kept) as Partial<PlanClaim>) }
  return {
    ...EMPTY_COMMON,
    decimalMark: claim.decimalMark,
    claims: [scatter === '' ? own : { ...own, scatter, scatterFrom: name }],
  }
}

/**
 * The claim that one of a plan is held against its readings as.
 *
 * @param method - that was planned: the usual one may be another once the sample is there
 */
export function claimOfPlan(
  { claims, decimalMark }: PlanDraft,
  place: number,
  method: Method,
): Partial<ClaimDraft> {
  const { gap: _, power: __, scatter, scatterFrom: ___, ...own } = claims[place]!
  const isKnown = methodOf(method).planning?.isSpreadKnown === true
  return { ...own, method, decimalMark, ...(isKnown ? { knownStandardDeviation: scatter } : {}) }
}

const CLAIM_FIELDS: Fields = planClaimSchema.shape
const COMMON_FIELDS: Fields = planSchema.shape
/** The first claim's words stand for themselves, those of the others behind their number. */
const prefixOf = (place: number) => (place === 0 ? '' : `${place + 1}.`)

/** The plan that the words of an address ask for; what they do not say, or say wrongly, is as usual. */
export function planDraftOf(address: AddressWords): PlanDraft {
  const claims = Array.from({ length: MOST_PLAN_CLAIMS }, (_, place) =>
    draftFromWords(CLAIM_FIELDS, EMPTY_PLAN_CLAIM, address, prefixOf(place)),
  )
  const count = claims.findLastIndex(({ read }) => read.length > 0) + 1
  return {
    ...draftFromWords(COMMON_FIELDS, EMPTY_COMMON, address).draft,
    claims: claims.slice(0, Math.max(1, count)).map(({ draft }) => draft),
  }
}

/** The address that a plan is found at again. */
export function addressOfPlan({ claims, ...common }: PlanDraft): string {
  const said = claims.flatMap((claim, place) => wordsOf(claim, EMPTY_PLAN_CLAIM, prefixOf(place)))
  return addressWith('/planner', [...said, ...wordsOf(common, EMPTY_COMMON)])
}
