'use client'

import { useEffect, useState } from 'react'
import { canonicalJson } from '@/core/canonicalJson'

/** SHA-256 of a value's only spelling as JSON, in hexadecimal digits; undefined while it is being made. */
export function useFingerprint(value: unknown): string | undefined {
  const [known, setKnown] = useState<Readonly<{ of: unknown; fingerprint: string }>>()
  useEffect(() => {
    if (value === undefined) return
    let isOvertaken = false
    const bytes = new TextEncoder().encode(canonicalJson(value))
    void crypto.subtle.digest('SHA-256', bytes).then((digest) => {
      const digits = Array.from(new Uint8Array(digest), (byte) => byte.toString(16).padStart(2, '0'))
      if (!isOvertaken) setKnown({ of: value, fingerprint: digits.join('') })
    })
    return () => {
      isOvertaken = true
    }
  }, [value])
  return known !== undefined && known.of === value ? known.fingerprint : undefined
}
