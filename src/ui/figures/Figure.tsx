'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import { useState } from 'react'
import { copyText } from '@/ui/copyText'

const COPIED_MS = 1500

const Copyable = chakra('button', {
  base: {
    position: 'relative',
    display: 'inline-block',
    minWidth: '24px',
    minHeight: '24px',
    textAlign: 'inherit',
    padding: 0,
    border: 0,
    bg: 'transparent',
    fontFamily: 'mono',
    fontVariantNumeric: 'tabular-nums',
    whiteSpace: 'nowrap',
    cursor: 'copy',
    userSelect: 'text',
    _before: {
      content: 'attr(data-full)',
      position: 'absolute',
      right: 0,
      bottom: 'calc(100% + 4px)',
      zIndex: 3,
      padding: '2px 8px',
      border: '1px solid',
      borderColor: 'edge',
      borderRadius: 'md',
      bg: 'surface',
      color: 'ink',
      fontSize: '12px',
      fontFamily: 'body',
      visibility: 'hidden',
    },
    '&:hover::before, &:focus-visible::before': { visibility: 'visible' },
  },
})

/**
 * A figure as it is displayed. Pointing at it or focusing it shows every digit, and a click copies them; with Shift, the figure as
 * it is displayed.
 *
 * @param shown - rounded, with its unit
 * @param full - every digit, without the unit
 */
export function Figure({ shown, full, name }: Readonly<{ shown: string; full: string; name: string }>) {
  const [isCopied, setCopied] = useState(false)
  const copy = async (text: string) => {
    // A true minus sign would make the figure a text in a spreadsheet.
    await copyText(text.replaceAll('\u2212', '-'))
    setCopied(true)
    setTimeout(() => setCopied(false), COPIED_MS)
  }
  return (
    <Copyable
      type="button"
      onClick={(event) => void copy(event.shiftKey ? shown : full)}
      data-full={isCopied ? 'Copied' : full}
      aria-label={`${name}: ${shown}. Full figure ${full}. ${isCopied ? 'Copied' : 'Copy it, or with Shift as shown'}`}
    >
      {shown}
    </Copyable>
  )
}
