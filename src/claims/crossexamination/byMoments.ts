import { bisectLeft } from 'd3-array'
import { moments } from '@/statistics/describe/moments'
import type { decisionOn } from '../check'
import type { FindingOutcome } from '../finding'
import type { Evidence } from '../terms/request'

export type Decide = (evidence: Evidence) => ReturnType<typeof decisionOn>
type Readings = Extract<Evidence, { kind: 'readings' }>

/** Fewer values are each decided by themselves. */
const BLOCK = 4

/**
 * What a test that needs only mean and spread decides without each of several readings.
 *
 * Its statistic rises or falls with the mean while the spread is kept, and with the spread while the mean is. Of a stretch
 * of values next to one another it is thus at its least and at its greatest in the corners of what they leave of both: where
 * these agree in the decision and in the side of the estimate, all of them do.
 *
 * @param isRange - whether two limits are tested, in which case corners can agree where what lies between does not
 * @returns the outcome without a reading of a value; undefined where nothing can be tested then
 */
export function outcomesWithoutEach(
  evidence: Readings,
  { decide, isRange }: Readonly<{ decide: Decide; isRange: boolean }>,
): (value: number) => FindingOutcome | undefined {
  const { lotSize, measurement, setAside } = evidence
  const left = new Set(setAside)
  const tested = evidence.values.filter((_, index) => !left.has(index))
  const values = Float64Array.from(tested)
    .sort()
    .filter((value, at, all) => value !== all[at - 1])
  const { sampleSize: n, mean, variance } = moments(tested)
  const squares = (variance ?? 0) * (n - 1)
  const meanWithout = (value: number) => mean + (mean - value) / (n - 1)
  const varianceWithout = (value: number) =>
    Math.max(0, squares - ((value - mean) ** 2 * n) / (n - 1)) / (n - 2)
  const decided = (mean: number, variance: number) =>
    decide({
      ...{ kind: 'summary', n: n - 1, mean, variance },
      ...(lotSize === undefined ? {} : { lotSize }),
      ...(measurement === undefined ? {} : { measurement }),
    })
  const outcomes: (FindingOutcome | undefined)[] = []
  const block = (from: number, to: number): void => {
    if (isRange || to - from < BLOCK) {
      for (let at = from; at < to; at += 1)
        outcomes[at] = decided(meanWithout(values[at]!), varianceWithout(values[at]!))?.outcome
      return
    }
    const agreed = agreedOn(values[from]!, values[to - 1]!)
    if (agreed) {
      for (let at = from; at < to; at += 1) outcomes[at] = agreed
      return
    }
    const middle = (from + to) >>> 1
    block(from, middle)
    block(middle, to)
  }
  /** What the four corners agree on. */
  const agreedOn = (least: number, most: number): FindingOutcome | undefined => {
    const nearest = Math.min(most, Math.max(least, mean))
    const spreads = [varianceWithout(nearest), Math.min(varianceWithout(least), varianceWithout(most))]
    const [first, ...others] = [least, most].flatMap((value) =>
      spreads.map((variance) => decided(meanWithout(value), variance)),
    )
    const isSame = others.every((one) => one?.decision === first?.decision && one?.side === first?.side)
    return isSame ? first?.outcome : undefined
  }
  block(0, values.length)
  return (value) => outcomes[bisectLeft(values, value)]
}
