import * as z from 'zod/mini'
import { numberOf, productOf, rational, upToStep } from '@/statistics/numeric/rational'

const positive = z.number().check(z.positive())
/** No lot has more packs. */
const MAX_PACKS = 1_000_000_000
const packs = z.int().check(z.positive(), z.maximum(MAX_PACKS))
/** More rows than any document has. */
const MAX_ROWS = 100
const PERCENT = 0.01
/** Letters of its name and of its source; and T in percent of the label, at most. */
const [NAME_LENGTH, SOURCE_LENGTH, MAX_PERCENT] = [200, 1000, 50]

/**
 * The rules of a control of net content, as data: how many packs are taken of a lot, how many of them may be short by more than
 * the tolerable deficiency T, how large T is, and at which level the average is tested. Quantities are in g or mL.
 */
export const controlPlanSchema = z.strictObject({
  name: z.string().check(z.trim(), z.minLength(1), z.maxLength(NAME_LENGTH)),
  /** Where it is published, or who wrote it. */
  source: z.string().check(z.maxLength(SOURCE_LENGTH)),
  /** Whether it was written down from memory, and has to be checked against its document before it is relied on. */
  isFromMemory: z.boolean(),
  /** One-sided, of the test of the average. */
  averageLevel: z.number().check(z.gt(0), z.lt(0.5)),
  /** By the size of the lot, rising; `to` is left out for “and more”. */
  sampling: z.readonly(
    z
      .array(
        z.strictObject({
          from: packs,
          to: z.optional(packs),
          n: packs,
          allowed: z.int().check(z.nonnegative()),
        }),
      )
      .check(z.minLength(1), z.maxLength(MAX_ROWS)),
  ),
  /** By the nominal quantity, rising: T for all up to it, as a quantity or in percent of it. */
  deficiencies: z.readonly(
    z
      .array(
        z.strictObject({
          upTo: positive,
          quantity: z.optional(positive),
          percent: z.optional(positive.check(z.maximum(MAX_PERCENT))),
        }),
      )
      .check(z.minLength(1), z.maxLength(MAX_ROWS)),
  ),
  /** T is rounded up to a step, by the nominal quantity; `upTo` is left out for “and more”; none: T is not rounded. */
  rounding: z.readonly(
    z.array(z.strictObject({ upTo: z.optional(positive), step: positive })).check(z.maxLength(MAX_ROWS)),
  ),
  /** Where the number of packs is not the plan's: the share of packs that may be short by more than T, and the level of its test. */
  otherwise: z.strictObject({
    share: z.number().check(z.gt(0), z.lt(1)),
    level: z.number().check(z.gt(0), z.lt(1)),
  }),
})

export type ControlPlan = Readonly<z.infer<typeof controlPlanSchema>>

/** What of a plan can't be followed: where, and which figures stand against each other. */
export type PlanFault = Readonly<{
  name: 'n-beyond-lot' | 'allowed-beyond-n' | 'lots-overlap' | 'after-last' | 'not-rising' | 'one-of-two'
  path: string
  figures: readonly number[]
}>

/** What keeps a plan from being followed; undefined where nothing does. */
export function faultIn({ sampling, deficiencies, rounding }: ControlPlan): PlanFault | undefined {
  for (const [at, { from, to = Infinity, n, allowed }] of sampling.entries()) {
    const path = `sampling[${at}]`
    if (to < from) return { name: 'not-rising', path: `${path}.to`, figures: [from, to] }
    if (n > from) return { name: 'n-beyond-lot', path: `${path}.n`, figures: [n, from] }
    if (allowed >= n) return { name: 'allowed-beyond-n', path: `${path}.allowed`, figures: [allowed, n] }
    const before = sampling[at - 1]
    if (before && before.to === undefined)
      return { name: 'after-last', path: `${path}.from`, figures: [from] }
    if (before?.to !== undefined && from <= before.to)
      return { name: 'lots-overlap', path: `${path}.from`, figures: [from, before.to] }
  }
  for (const [at, { upTo, quantity, percent }] of deficiencies.entries()) {
    const path = `deficiencies[${at}]`
    if ((quantity === undefined) === (percent === undefined)) return { name: 'one-of-two', path, figures: [] }
    const before = deficiencies[at - 1]
    if (before && upTo <= before.upTo)
      return { name: 'not-rising', path: `${path}.upTo`, figures: [before.upTo, upTo] }
  }
  for (const [at, { upTo = Infinity }] of rounding.entries()) {
    const before = rounding[at - 1]
    if (before && upTo <= (before.upTo ?? Infinity))
      return { name: 'not-rising', path: `rounding[${at}].upTo`, figures: [before.upTo ?? upTo, upTo] }
  }
  return undefined
}

export type SamplingRow = ControlPlan['sampling'][number]

/** The row of a plan that a lot falls into; undefined where none does. */
export const samplingFor = ({ sampling }: ControlPlan, lotSize: number): SamplingRow | undefined =>
  sampling.find(({ from, to = Infinity }) => lotSize >= from && lotSize <= to)

/**
 * The tolerable deficiency T of a nominal quantity, rounded up to its step; a value on a step stays.
 *
 * @param nominal - in g or mL
 * @returns in g or mL; undefined where the plan goes no so far
 * @example
 * tolerableDeficiency(R87, 175) // 7.9
 */
export function tolerableDeficiency(
  { deficiencies, rounding }: ControlPlan,
  nominal: number,
): number | undefined {
  const row = deficiencies.find(({ upTo }) => nominal <= upTo)
  if (!row) return undefined
  const exact =
    row.quantity === undefined
      ? productOf(productOf(rational(nominal), rational(row.percent!)), rational(PERCENT))
      : rational(row.quantity)
  const step = rounding.find(({ upTo = Infinity }) => nominal <= upTo)?.step
  return numberOf(step === undefined ? exact : upToStep(exact, rational(step)))
}

/**
 * The plan that ships, of the average system. From memory: no document was at hand, so whatever uses it says that it is to be
 * checked before it is relied on.
 *
 * @see OIML R 87:2004, Quantity of product in prepackages
 */
export const R87: ControlPlan = {
  name: 'average system (OIML R 87)',
  source: 'OIML R 87:2004, Quantity of product in prepackages',
  isFromMemory: true,
  averageLevel: 0.005,
  sampling: [
    { from: 100, to: 500, n: 50, allowed: 3 },
    { from: 501, to: 3200, n: 80, allowed: 5 },
    { from: 3201, n: 125, allowed: 7 },
  ],
  deficiencies: [
    { upTo: 50, percent: 9 },
    { upTo: 100, quantity: 4.5 },
    { upTo: 200, percent: 4.5 },
    { upTo: 300, quantity: 9 },
    { upTo: 500, percent: 3 },
    { upTo: 1000, quantity: 15 },
    { upTo: 10_000, percent: 1.5 },
    { upTo: 15_000, quantity: 150 },
    { upTo: 50_000, percent: 1 },
  ],
  rounding: [{ upTo: 1000, step: 0.1 }, { step: 1 }],
  otherwise: { share: 0.025, level: 0.05 },
}
