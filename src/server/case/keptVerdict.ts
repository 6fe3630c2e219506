import 'server-only'
import { keepLast } from '@/desk/keepLast'

/** Work that takes this long is not done at every look. */
const LONG_MS = 20
/** Nor more often than so many times as long as it takes: looking over and over costs the server a fiftieth of its time. */
const TIMES_AS_LONG = 50
const MAX_KEPT = 200

type Kept = Readonly<{ head: string; checkedAt: Date; verdict: Promise<unknown> }> & { until: number }

/** Kept on the global object, because a server may load this file more than once. */
const kept = globalThis as typeof globalThis & { trueWeightVerdicts?: Map<string, Kept> }

/** A verdict, and when it was come to. */
export type Checked<T> = Readonly<{ verdict: T; checkedAt: Date }>

/**
 * What a check comes to. One that takes long is not made again for a while, unless what it is about has changed or somebody asks
 * for it; and those who ask while it is being made wait for the same.
 *
 * @param key - what is checked
 * @param asked.head - where it stands: another one is checked anew
 * @param asked.isAnew - whether it is checked again whatever is known
 */
export async function keptVerdict<T>(
  key: string,
  { head, isAnew }: Readonly<{ head: string; isAnew: boolean }>,
  check: () => Promise<T>,
): Promise<Checked<T>> {
  const all = (kept.trueWeightVerdicts ??= new Map())
  const known = all.get(key)
  if (known && known.head === head && !isAnew && known.until > Date.now())
    return { verdict: (await known.verdict) as T, checkedAt: known.checkedAt }
  const checkedAt = new Date()
  const own: Kept = { head, checkedAt, verdict: check(), until: Infinity }
  keepLast(all, key, own, MAX_KEPT)
  try {
    const verdict = (await own.verdict) as T
    const took = Date.now() - checkedAt.getTime()
    own.until = took < LONG_MS ? 0 : Date.now() + took * TIMES_AS_LONG
    return { verdict, checkedAt }
  } catch (error) {
    own.until = 0
    throw error
  }
}
