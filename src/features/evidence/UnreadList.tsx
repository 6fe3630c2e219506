'use client'

import { Box, chakra } from '@chakra-ui/react'
import type { RefObject } from 'react'
import type { DecimalMark } from '@/desk/typed'
import { needed } from '@/intake/reading/fieldReader'
import type { UnreadEntry } from '@/intake/reading/readings'
import { useLabel } from '@/ui/sample/SampleProvider'

/** The id of the list, which no other list on the page has. */
export const useUnreadId = (): string => useLabel()('unread-readings').replaceAll(' ', '-')

/** More than these are counted, not listed. */
const MAX_LISTED = 8

const LineButton = chakra('button', {
  base: {
    padding: 0,
    border: 0,
    bg: 'transparent',
    color: 'brass',
    textDecoration: 'underline',
    cursor: 'pointer',
  },
})

/** Entries that are no numbers, each with the line that it stands on; choosing the line marks the entry there. */
export function UnreadList({
  unread,
  decimalMark,
  field,
}: Readonly<{
  unread: readonly UnreadEntry[]
  decimalMark: DecimalMark
  field: RefObject<HTMLTextAreaElement | null>
}>) {
  const id = useUnreadId()
  if (unread.length === 0) return null
  const more = unread.length - MAX_LISTED
  return (
    <Box id={id} role="alert" marginTop="8px">
      <ul>
        {unread.slice(0, MAX_LISTED).map((entry) => (
          <li key={entry.start}>
            <LineButton type="button" onClick={() => select(field.current, entry)}>
              Line {entry.line}
            </LineButton>
            : “{entry.text.slice(0, 40)}” is no number; {needed(entry.reason, decimalMark)}.
          </li>
        ))}
        {more > 0 && <li>and {more} more like these.</li>}
      </ul>
    </Box>
  )
}

function select(field: HTMLTextAreaElement | null, { start, text }: UnreadEntry): void {
  if (!field) return
  // A text field counts every line end as one character, as the stored text does.
  field.focus()
  field.setSelectionRange(start, start + text.length)
  const before = field.value.slice(0, start).split('\n').length - 1
  field.scrollTop = Math.max(0, before * 20 - 80)
}
