'use client'

import { TextBox } from './TextBox'

const LONGEST = 200

/** Where the words are typed that a list is searched for. */
export function SearchBox({
  label,
  placeholder,
  value,
  onChange,
}: Readonly<{ label: string; placeholder: string; value: string; onChange: (text: string) => void }>) {
  return (
    <TextBox
      type="search"
      aria-label={label}
      placeholder={placeholder}
      width="min(480px, 100%)"
      maxLength={LONGEST}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  )
}
