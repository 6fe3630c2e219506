'use client'

import { useEffect, useState } from 'react'
import { sha256 } from '@/ui/sha256'
import { canonicalJson } from '@/desk/canonicalJson'

/** Nobody signs between two keystrokes. */
const PAUSE_MS = 250

/** SHA-256 of a value's only spelling as JSON, in hexadecimal digits; undefined while it is being made. */
export function useFingerprint(value: unknown): string | undefined {
  const [known, setKnown] = useState<Readonly<{ of: unknown; fingerprint: string }>>()
  useEffect(() => {
    if (value === undefined) return
    let isOvertaken = false
    const make = async () => {
      const fingerprint = await sha256(canonicalJson(value))
      if (!isOvertaken) setKnown({ of: value, fingerprint })
    }
    const timer = setTimeout(() => void make(), PAUSE_MS)
    return () => {
      isOvertaken = true
      clearTimeout(timer)
    }
  }, [value])
  return known !== undefined && known.of === value ? known.fingerprint : undefined
}
