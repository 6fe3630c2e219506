'use client'

import { useCallback, useSyncExternalStore } from 'react'

const KEY = 'true-weight-officer'
const listeners = new Set<() => void>()

function subscribe(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** The name of the person who works at this browser, for the trail; empty until it is given. */
export const officerHere = (): string => localStorage.getItem(KEY) ?? ''

export function useOfficer(): readonly [string, (name: string) => void] {
  const name = useSyncExternalStore(subscribe, officerHere, () => '')
  const setName = useCallback((changed: string) => {
    localStorage.setItem(KEY, changed)
    for (const listener of listeners) listener()
  }, [])
  return [name, setName]
}
