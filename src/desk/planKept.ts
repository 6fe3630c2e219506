import { methodOf } from '@/claims/all'
import { isTested, type ClaimDocument, type ClaimResult } from '@/claims/checkAnswer'
import { unitsNamed } from '@/claims/plan/draw'
import type { Claim } from '@/claims/terms/claim'
import type { Method } from '@/claims/terms/names'
import { defaultBurden } from '@/claims/terms/relations'
import { type TestOptions, testSchema } from '@/claims/terms/request'
import { canonicalJson } from './canonicalJson'
import type { LockedPlan } from './lockedPlan'

/** What is claimed, and how it is tested: whatever else a test can be told is as usual in a plan. */
const CLAIMED = [
  ...(['parameter', 'quantity', 'relation', 'value', 'tolerance', 'limit'] as const),
  ...(['unit', 'exposureUnit', 'burden'] as const),
] as const satisfies readonly (keyof Claim)[]
const OPTIONS = [
  ...(['alternative', 'knownStandardDeviation', 'continuityCorrection', 'twoSidedRule'] as const),
  ...(['midP', 'finiteLot', 'allowForMeasurement'] as const),
] as const satisfies readonly (keyof TestOptions)[]

/** What is not as it was planned. */
export type Departure =
  | Readonly<{ what: 'units'; planned: number; tested: number }>
  | Readonly<{ what: 'method'; planned: Method; tested: Method }>
  | Readonly<{
      what: (typeof CLAIMED)[number] | (typeof OPTIONS)[number] | 'significanceLevel'
      planned: unknown
      tested: unknown
    }>
  /** Of the units that were drawn so many are noted with the readings; and these that were not, or that are noted once more. */
  | Readonly<{ what: 'drawn'; planned: number; tested: number; others: readonly string[] }>
  /** The whole lot was measured, or a control was made, so that nothing was tested. */
  | Readonly<{ what: 'untested' }>

/**
 * In what a test departs from the plan of its claim; nothing where it was kept.
 *
 * @param place - of the claim in the plan, from 1
 * @param noted - the units of the lot that are noted with the readings; of none it is not told whether they are the drawn ones
 */
export function departures(
  { claims, units, draw }: LockedPlan,
  place: number,
  { document, result }: Readonly<{ document: ClaimDocument; result: ClaimResult }>,
  noted: readonly string[],
): readonly Departure[] {
  if (!isTested(result) || 'content' in document) return [{ what: 'untested' }]
  const { claim, test, assume } = claims[place - 1]!
  const tested = testSchema.parse(document.test ?? {})
  const isKnown = methodOf(test.method).planning?.isSpreadKnown === true
  const planned = testSchema.parse({
    ...test,
    ...(isKnown ? { knownStandardDeviation: assume.standardDeviation } : {}),
  })
  const other = <Key extends string>(keys: readonly Key[], one: object, two: object) =>
    keys.flatMap((what) => {
      const [was, is] = [one, two].map((of) => (of as Readonly<Record<string, unknown>>)[what])
      return canonicalJson([was ?? null]) === canonicalJson([is ?? null])
        ? []
        : [{ what, planned: was, tested: is }]
    })
  return [
    ...unitsTested(result).flatMap((n) =>
      n === units ? [] : [{ what: 'units' as const, planned: units, tested: n }],
    ),
    ...(draw && noted.length > 0 ? otherUnits(unitsNamed(draw), noted) : []),
    ...other(CLAIMED, withBurden(claim), withBurden(document.claim)),
    ...other(['significanceLevel'], planned, tested),
    ...(result.test.method === test.method
      ? []
      : [{ what: 'method' as const, planned: test.method, tested: result.test.method }]),
    ...other(OPTIONS, planned, tested),
  ]
}

function otherUnits(drawn: readonly string[], noted: readonly string[]): readonly Departure[] {
  const left = new Set(drawn)
  const others = noted.filter((unit) => !left.delete(unit))
  return left.size === 0 && others.length === 0
    ? []
    : [{ what: 'drawn', planned: drawn.length, tested: drawn.length - left.size, others }]
}

/** A burden that nobody states is the one that the relation's words carry. */
const withBurden = (claim: Claim): Claim => ({
  ...claim,
  burden: claim.burden ?? defaultBurden(claim.relation),
})

/** What a plan counts as units: of a rate the exposure, of a ratio the readings of either source. */
function unitsTested({ sample }: Extract<ClaimResult, { test: unknown }>): readonly number[] {
  if ('exposure' in sample) return [sample.exposure]
  return 'first' in sample ? [sample.first.n, sample.second.n] : [sample.n]
}
