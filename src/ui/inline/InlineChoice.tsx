'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import { InlineFrame, inlineControl } from './InlineFrame'

const Select = chakra('select', { base: { ...inlineControl, '& option': { bg: 'surface', color: 'ink' } } })

/** A word of a sentence that is chosen from a list, in place. */
export function InlineChoice<T extends string>({
  label,
  value,
  words,
  onChange,
}: Readonly<{ label: string; value: T; words: Readonly<Record<T, string>>; onChange: (value: T) => void }>) {
  const choices = Object.keys(words) as T[]
  return (
    <InlineFrame shown={words[value]}>
      <Select aria-label={label} value={value} onChange={(event) => onChange(event.target.value as T)}>
        {choices.map((choice) => (
          <option key={choice} value={choice}>
            {words[choice]}
          </option>
        ))}
      </Select>
    </InlineFrame>
  )
}
