import { readFileSync } from 'node:fs'
import path from 'node:path'

/** Reads one of the reference files that lie beside this one; SOURCES.md says where they come from. */
export function readReference<T>(name: string): T {
  return JSON.parse(readFileSync(path.join(process.cwd(), 'tests/reference', name), 'utf8')) as T
}

/** |actual − expected| / |expected|; the absolute difference where the reference is 0. */
export function relativeError(actual: number, expected: number): number {
  if (actual === expected) return 0
  return Math.abs(actual - expected) / (expected === 0 ? 1 : Math.abs(expected))
}

/** Collects errors against the reference, so that a test can say how good the worst of a group is. */
export class WorstError {
  private readonly worst = new Map<string, Readonly<{ error: number; at: string }>>()

  add(group: string, at: string, error: number): void {
    const known = this.worst.get(group)
    if (!known || !(error <= known.error)) this.worst.set(group, { error, at })
  }

  /** One line a group: digits that agree (−log10 of the worst relative error), and where. */
  report(): string {
    const lines = [...this.worst].map(([group, { error, at }]) => {
      const digits = error === 0 ? 'all' : (-Math.log10(error)).toFixed(1)
      return `${group}: ${digits} digits agree at worst (${at})`
    })
    return lines.join('\n')
  }
}

/** Relative tolerances of the reference values; see SOURCES.md. */
export const TOLERANCE = { statistic: 1e-13, probability: 1e-11, power: 1e-9 } as const

/** Compares figures with the reference, and keeps the worst of each group for `report`. */
export class Comparison {
  private readonly worst = new WorstError()

  /** Passes where the relative error is within the tolerance, or the absolute one within `absolute`. */
  close(
    group: string,
    at: string,
    pair: Readonly<{ actual: number | undefined; expected: string | number | null | undefined }>,
    tolerance: number,
    absolute = tolerance === TOLERANCE.statistic ? 1e-14 : 0,
  ): void {
    const [actual, expected] = [pair.actual ?? Number.NaN, Number(pair.expected ?? Number.NaN)]
    const error = relativeError(actual, expected)
    const isClose = error <= tolerance || Math.abs(actual - expected) <= absolute
    if (!isClose || error <= tolerance) this.worst.add(group, at, error)
    expect({ group, at, actual, error: isClose ? 'within' : error }).toEqual({
      group,
      at,
      actual,
      error: 'within',
    })
  }

  report(): void {
    process.stdout.write(`${this.worst.report()}\n`)
  }
}
