import { isStretch, valuesIn } from './change'
import type { TrailEntry } from './chain'

type Values = Readonly<Record<string, unknown>>

/**
 * What a thing came to by its changes, one after the other; of a long text each tells the stretch that changed.
 *
 * @param start - what it was before the first of them
 * @param changes - the first first
 */
export function replayed(start: Values, changes: readonly Pick<TrailEntry, 'before' | 'after'>[]): Values {
  const state: Record<string, unknown> = { ...start }
  for (const { before, after } of changes) {
    const [was, is] = [valuesIn(before), valuesIn(after)]
    for (const field of new Set([...Object.keys(was), ...Object.keys(is)]))
      state[field] = changed(state[field], was[field], is[field])
  }
  return state
}

function changed(known: unknown, was: unknown, is: unknown): unknown {
  if (!isStretch(was) || !isStretch(is) || typeof known !== 'string') return is
  return `${known.slice(0, is.from)}${is.text}${known.slice(was.from + was.text.length)}`
}
