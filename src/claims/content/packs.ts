import { moments } from '@/statistics/describe/moments'
import {
  differenceOf,
  isAbove,
  numberOf,
  productOf,
  quotientOf,
  type Rational,
  rational,
  sumOf,
} from '@/statistics/numeric/rational'
import { failure, type Outcome, success } from '../terms/outcome'
import { type ClaimProblem, problems } from '../terms/problems'
import type { Content } from '../terms/contentRequest'
import { type ContentUnit, inBase, isVolume, usualMassUnit } from '../terms/contentUnits'

/** A mean tare stands on at least so many empty packs. */
export const LEAST_EMPTY_PACKS = 10
/** Nearer than this to a limit, as a share of the label, doubles are not trusted to tell the sides apart. */
export const NEAR = 1e-9

/** What of a control says what each pack holds. */
type Weighed = Pick<Content, 'nominal' | 'unit' | 'values' | 'gross' | 'tare' | 'density' | 'massUnit'>

/** What was found in each pack, in the unit of the label. */
export type Packs = Readonly<{
  /** The content of each, rounded to a double. */
  contents: readonly number[]
  /** Each less the label, exact before it is rounded. */
  errorAt: (index: number) => number
  /** Whether a pack is short by more than a quantity, as the decimals written. */
  isShortBy: (index: number, quantity: number) => boolean
  /** The mean of the empty packs, where the tare is one, in the unit that they were weighed in. */
  meanTare?: number
  weighedIn: ContentUnit
}>

/**
 * The content of each pack: as it was measured, gross less tare, or the volume of a mass; none of these rounded on the way.
 *
 * @returns the problem `evidence-does-not-fit`, `tare-needed`, `tare-above-gross`, `of-other-length`, `too-few-readings` or
 *   `density-needed`
 */
export function packsOf(content: Weighed): Outcome<Packs, ClaimProblem> {
  const { values, gross, tare, density, unit, nominal } = content
  const measured = gross ?? values
  if (!measured || (gross && values)) return failure(problems.contentNeeded(measured !== undefined))
  if (values && tare !== undefined) return failure(problems.tareOfNet())
  if (gross && tare === undefined) return failure(problems.tareNeeded())
  const weighed = weighedIn(content)
  if (!weighed.ok) return weighed
  const tares = gross ? taresOf(tare!, gross) : success(undefined)
  if (!tares.ok) return tares
  // What one of what was measured is in the unit of the label.
  const scale = weighed.value
    ? quotientOf(inBase(weighed.value), productOf(rational(density!), inBase(unit)))
    : undefined
  const label = rational(nominal)
  const exactAt = (index: number): Rational => {
    const net = tares.value
      ? differenceOf(rational(measured[index]!), tares.value.at(index))
      : rational(measured[index]!)
    return scale ? productOf(net, scale) : net
  }
  const ratio = scale ? numberOf(scale) : 1
  const contents = measured.map((value, index) => (value - (tares.value?.near(index) ?? 0)) * ratio)
  return success({
    contents,
    errorAt: (index) => numberOf(differenceOf(exactAt(index), label)),
    isShortBy(index, quantity) {
      const short = nominal - contents[index]!
      if (Math.abs(short - quantity) > NEAR * Math.max(nominal, measured[index]! * ratio))
        return short > quantity
      return isAbove(differenceOf(label, exactAt(index)), rational(quantity))
    },
    ...(tares.value?.mean === undefined ? {} : { meanTare: tares.value.mean }),
    weighedIn: weighed.value ?? unit,
  })
}

/** The unit that a volume was weighed in; undefined where nothing is converted by a density. */
function weighedIn({ unit, density, massUnit }: Weighed): Outcome<ContentUnit | undefined, ClaimProblem> {
  if (!isVolume(unit))
    return density === undefined && massUnit === undefined
      ? success(undefined)
      : failure(problems.densityOfMass(unit, density !== undefined))
  if (density === undefined)
    return massUnit === undefined ? success(undefined) : failure(problems.densityNeeded(massUnit, unit))
  return success(massUnit ?? usualMassUnit(unit))
}

type Tares = Readonly<{ at: (index: number) => Rational; near: (index: number) => number; mean?: number }>

function taresOf(tare: NonNullable<Content['tare']>, gross: readonly number[]): Outcome<Tares, ClaimProblem> {
  const tares =
    typeof tare === 'number'
      ? same(rational(tare), tare)
      : Array.isArray(tare)
        ? each(tare)
        : meanOf(tare.emptyPacks)
  if (Array.isArray(tare) && tare.length !== gross.length)
    return failure(problems.taresOfOtherLength(tare.length, gross.length))
  if (!tares) {
    const { length } = (tare as Readonly<{ emptyPacks: readonly number[] }>).emptyPacks
    return failure(problems.tooFewEmptyPacks(length, LEAST_EMPTY_PACKS))
  }
  const above = gross.findIndex((value, index) => tares.near(index) > value)
  return above < 0
    ? success(tares)
    : failure(problems.tareAboveGross(above, gross[above]!, tares.near(above)))
}

const same = (tare: Rational, near: number): Tares => ({ at: () => tare, near: () => near })
const each = (tares: readonly number[]): Tares => ({
  at: (index) => rational(tares[index]!),
  near: (index) => tares[index]!,
})

function meanOf(emptyPacks: readonly number[]): Tares | undefined {
  const count = emptyPacks.length
  if (count < LEAST_EMPTY_PACKS) return undefined
  const sum = emptyPacks.map(rational).reduce(sumOf)
  const { mean } = moments(emptyPacks)
  return { ...same(quotientOf(sum, rational(count)), mean), mean }
}
