'use client'

import { useEffect } from 'react'

const PAUSE_MS = 300

/** Keeps the page's address in step with what is looked at, so that it can be sent to somebody else; not at each step of a pull, which browsers refuse. */
export function useAddress(address: string): void {
  useEffect(() => {
    const timer = setTimeout(() => window.history.replaceState(null, '', address), PAUSE_MS)
    return () => clearTimeout(timer)
  }, [address])
}
