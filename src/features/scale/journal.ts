import * as z from 'zod/mini'
import type { TakenReading } from '@/intake/scale/rows'

/** Readings that were taken here and of which it is not known yet that they are stored: kept by this browser. */
const journalSchema = z.array(
  z.strictObject({
    ...{ text: z.string(), unitOfReading: z.string() },
    ...{ unit: z.string(), tare: z.string(), at: z.string(), instrument: z.string() },
  }),
)
const keyOf = (sampleId: string) => `true-weight-taken-${sampleId}`

export function readJournal(sampleId: string): readonly TakenReading[] {
  try {
    const read = journalSchema.safeParse(JSON.parse(localStorage.getItem(keyOf(sampleId)) ?? '[]'))
    return read.success ? read.data : []
  } catch {
    return []
  }
}

export function writeJournal(sampleId: string, taken: readonly TakenReading[]): void {
  try {
    if (taken.length === 0) localStorage.removeItem(keyOf(sampleId))
    else localStorage.setItem(keyOf(sampleId), JSON.stringify(taken))
  } catch {
    // A browser that keeps nothing, or is full: the server stores what is taken all the same.
  }
}
