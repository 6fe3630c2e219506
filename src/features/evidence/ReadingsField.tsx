'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import { type RefObject, useMemo, useRef } from 'react'
import type { TypedSheet } from '@/intake/sheet/typedSheet'
import { useLabel } from '@/ui/sample/SampleProvider'
import { useUnreadId } from './UnreadList'

const Frame = chakra('div', {
  base: {
    display: 'grid',
    _print: { display: 'none' },
    gridTemplateColumns: 'auto 1fr',
    maxWidth: '420px',
    height: '236px',
    border: '1px solid',
    borderColor: 'edge',
    borderRadius: 'md',
    bg: 'surface',
    overflow: 'hidden',
    fontFamily: 'mono',
    fontSize: '13px',
    lineHeight: '20px',
    _focusWithin: {
      outlineWidth: '2px',
      outlineStyle: 'solid',
      outlineColor: 'accent',
      outlineOffset: '1px',
    },
  },
})

const Gutter = chakra('div', {
  base: {
    overflow: 'hidden',
    paddingBlock: '8px',
    paddingInline: '10px 8px',
    minWidth: '44px',
    textAlign: 'right',
    whiteSpace: 'pre',
    color: 'quiet',
    borderRight: '1px solid',
    borderColor: 'rule',
    userSelect: 'none',
  },
})

const Area = chakra('textarea', {
  base: {
    width: '100%',
    height: '100%',
    resize: 'none',
    border: 0,
    padding: '8px 10px',
    bg: 'transparent',
    whiteSpace: 'pre',
    overflow: 'auto',
    outline: 'none',
    lineHeight: 'inherit',
  },
})

/** Readings as a numbered column of text. */
export function ReadingsField({
  value,
  onChange,
  sheet,
  ref,
}: Readonly<{
  value: string
  onChange: (value: string) => void
  sheet: TypedSheet
  ref: RefObject<HTMLTextAreaElement | null>
}>) {
  const label = useLabel()
  const unreadId = useUnreadId()
  const gutter = useRef<HTMLDivElement>(null)
  const { lineCount, unread } = sheet
  const numbers = useMemo(
    () => Array.from({ length: lineCount }, (_, index) => index + 1).join('\n'),
    [lineCount],
  )
  return (
    <Frame>
      <Gutter ref={gutter} aria-hidden="true">
        {numbers}
      </Gutter>
      <Area
        ref={ref}
        aria-label={label('Readings')}
        aria-invalid={unread.length > 0 || undefined}
        aria-describedby={unread.length > 0 ? unreadId : undefined}
        spellCheck={false}
        autoComplete="off"
        placeholder="Type or paste readings, one a line"
        value={value}
        onChange={(event) => onChange(event.target.value)}
        onScroll={(event) => {
          if (gutter.current) gutter.current.scrollTop = event.currentTarget.scrollTop
        }}
      />
    </Frame>
  )
}
