'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import { type KeyboardEvent, useId, useRef } from 'react'
import { InlineFrame, inlineControl } from './InlineFrame'

/** A text that is offered, and what it means. */
export type Suggestion = Readonly<{ value: string; meaning?: string }>

const Input = chakra('input', {
  base: {
    ...inlineControl,
    // The arrow of a list of suggestions would take the room of the word.
    '&::-webkit-calendar-picker-indicator': { display: 'none !important' },
  },
})

/**
 * A word of a sentence that is typed in place. Enter leaves it, Escape puts back what stood there before.
 *
 * @param placeholder - what stands there while nothing is typed
 */
export function InlineText(
  props: Readonly<{
    label: string
    value: string
    placeholder: string
    onChange: (value: string) => void
    onLeave?: () => void
    isInvalid?: boolean
    describedBy?: string
    inputMode?: 'decimal' | 'text'
    maxLength?: number
    /** Texts that are likely; any other can be typed too. */
    suggestions?: readonly Suggestion[]
  }>,
) {
  const { label, value, placeholder, onChange, isInvalid = false, describedBy, inputMode = 'text' } = props
  const before = useRef(value)
  const listId = useId()
  const { suggestions = [] } = props
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key !== 'Enter' && event.key !== 'Escape') return
    if (event.key === 'Escape') onChange(before.current)
    event.currentTarget.blur()
  }
  return (
    <InlineFrame shown={value || placeholder} isInvalid={isInvalid}>
      <Input
        aria-label={label}
        aria-invalid={isInvalid || undefined}
        aria-describedby={describedBy}
        autoComplete="off"
        spellCheck={false}
        htmlSize={1}
        maxLength={props.maxLength ?? 500}
        inputMode={inputMode}
        list={suggestions.length > 0 ? listId : undefined}
        value={value}
        placeholder={placeholder}
        onFocus={() => (before.current = value)}
        onChange={(event) => onChange(event.target.value)}
        onBlur={props.onLeave}
        onKeyDown={onKeyDown}
      />
      {suggestions.length > 0 && (
        <datalist id={listId}>
          {suggestions.map((one) => (
            <option key={one.value} value={one.value} label={one.meaning} />
          ))}
        </datalist>
      )}
    </InlineFrame>
  )
}
