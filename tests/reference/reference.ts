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
