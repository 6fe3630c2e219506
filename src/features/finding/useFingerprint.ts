'use client'

import { useEffect, useState } from 'react'
import { canonicalJson } from '@/desk/canonicalJson'
import { sha256 } from '@/workers/sha256'
import { sheets } from '@/workers/sheets'

/** Nobody signs between two keystrokes. */
const PAUSE_MS = 250

/**
 * SHA-256 of a value's only spelling as JSON, in hexadecimal digits; undefined while it is being made.
 *
 * @param isLarge - whether it is made by the worker, so that the page does not stand still meanwhile
 */
export function useFingerprint(value: unknown, isLarge: boolean): string | undefined {
  const [known, setKnown] = useState<Readonly<{ of: unknown; fingerprint: string }>>()
  useEffect(() => {
    if (value === undefined) return
    let isOvertaken = false
    const make = async () => {
      const fingerprint = await (isLarge ? sheets().fingerprint(value) : sha256(canonicalJson(value)))
      if (!isOvertaken) setKnown({ of: value, fingerprint })
    }
    const timer = setTimeout(() => void make(), PAUSE_MS)
    return () => {
      isOvertaken = true
      clearTimeout(timer)
    }
  }, [value, isLarge])
  return known !== undefined && known.of === value ? known.fingerprint : undefined
}
