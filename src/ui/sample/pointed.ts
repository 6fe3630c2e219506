'use client'

import { useSyncExternalStore } from 'react'

const listeners = new Set<() => void>()
let row: number | undefined

/** The row of the reading that is pointed at, in whichever picture or sheet: every other one marks it too. */
export const pointed = {
  get: (): number | undefined => row,
  set(next: number | undefined): void {
    if (next === row) return
    row = next
    for (const listener of listeners) listener()
  },
  subscribe(listener: () => void): () => void {
    listeners.add(listener)
    return () => listeners.delete(listener)
  },
}

export function usePointed(): number | undefined {
  return useSyncExternalStore(pointed.subscribe, pointed.get, () => undefined)
}
