'use client'

import { useState } from 'react'
import { QuietButton } from './Button'
import { copyText } from './copyText'

const SAID_MS = 1500

/** Copies a text, and says so for a moment. */
export function CopyButton({ text, children }: Readonly<{ text: string; children: string }>) {
  const [isCopied, setCopied] = useState(false)
  const copy = async () => {
    await copyText(text)
    setCopied(true)
    setTimeout(() => setCopied(false), SAID_MS)
  }
  return (
    <QuietButton type="button" onClick={() => void copy()}>
      {isCopied ? 'Copied' : children}
    </QuietButton>
  )
}
