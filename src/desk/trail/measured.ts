import { valuesIn } from './change'
import type { TrailEntry } from './chain'

/** The fields of a sample that hold what was measured. */
export const MEASURED = ['readings', 'sampleSize', 'mean', 'spread', 'count', 'events', 'exposure'] as const

/** Whether an entry is of one of the samples that a claim is held against. */
export const isOfSamples = (
  { sampleId }: Pick<TrailEntry, 'sampleId'>,
  sampleIds: readonly (string | null)[],
): boolean => sampleId !== null && sampleIds.includes(sampleId)

/** Whether an entry of a sample states something that was measured. */
export function bringsReadings({ action, after }: Pick<TrailEntry, 'action' | 'after'>): boolean {
  if (action === 'brought-in') return true
  const values = valuesIn(after)
  return MEASURED.some((field) => isStated(values[field]))
}

export const isStated = (value: unknown): boolean =>
  value !== undefined && value !== null && value !== '' && !(Array.isArray(value) && value.length === 0)
