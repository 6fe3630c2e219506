'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { type RefObject, useState } from 'react'
import { needed } from '@/intake/reading/fieldReader'
import { readEntry } from '@/intake/reading/entry'
import type { UnreadEntry } from '@/intake/reading/readings'
import { QuietButton } from '@/ui/Button'
import { InlineText } from '@/ui/inline/InlineText'
import { useOfficer } from '@/ui/officer'
import { useLabel, useSample } from '@/ui/sample/SampleProvider'
import { TextBox } from '@/ui/TextBox'
import { useSource } from '@/ui/workbench/SourceContext'
import { UnreadQuestion, useQuestion } from '@/ui/workbench/UnreadQuestion'
import { formatCount } from '@/words/figures'

/** The id of the list, which no other list on the page has. */
export const useUnreadId = (): string => useLabel()('unread-readings').replaceAll(' ', '-')

/** More than these are counted, not listed. */
const MAX_LISTED = 8

const LineButton = chakra('button', {
  base: {
    minWidth: '24px',
    minHeight: '24px',
    padding: 0,
    border: 0,
    bg: 'transparent',
    color: 'brass',
    textDecoration: 'underline',
    cursor: 'pointer',
  },
})

/**
 * Entries that are not read: how they can be, which they are, and a way to set them aside. While there are any, nothing is
 * computed.
 *
 * @param field - where they are typed; choosing one marks it there
 */
export function UnreadList({ field }: Readonly<{ field?: RefObject<HTMLTextAreaElement | null> }>) {
  const id = useUnreadId()
  const source = useSource()
  const { draft } = useSample()
  const { question } = useQuestion(source)
  const { unread } = source.evidence
  if (unread.length === 0) return null
  const more = unread.length - MAX_LISTED
  // Of those that one click reads nothing is to be said but that.
  const isAsked = ({ text }: UnreadEntry) =>
    question?.ways.some((way) => readEntry(text, { mark: way.mark, rules: way.rules }).ok) ?? false
  return (
    <Box id={id} marginTop="8px">
      <UnreadQuestion source={source} />
      <Box role="alert" marginTop="6px">
        <ul>
          {unread.slice(0, MAX_LISTED).map((entry) => (
            <li key={`${entry.row} ${entry.column}`}>
              {field ? (
                <LineButton type="button" onClick={() => select(field.current, entry)}>
                  Line {entry.line}
                </LineButton>
              ) : (
                <>
                  Row {entry.row + 1}, {entry.column}
                </>
              )}
              : “{entry.text.slice(0, 40)}” is not read
              {!isAsked(entry) && <>; {needed(entry, draft.decimalMark)}</>}.
            </li>
          ))}
          {more > 0 && <li>and {formatCount(more)} more like these.</li>}
        </ul>
      </Box>
      <SetAllAside unread={unread} />
    </Box>
  )
}

/** Sets every one of them aside, with a reason: they are then counted in the finding. */
function SetAllAside({ unread }: Readonly<{ unread: readonly UnreadEntry[] }>) {
  const { setAside } = useSample()
  const label = useLabel()
  const [officer, setOfficer] = useOfficer()
  const [reason, setReason] = useState('')
  const isWhole = reason.trim() !== '' && officer.trim() !== ''
  return (
    <Box
      as="form"
      display="flex"
      gap="10px"
      alignItems="center"
      flexWrap="wrap"
      marginTop="6px"
      onSubmit={(event) => {
        event.preventDefault()
        if (!isWhole) return
        setAside(
          unread.map(({ row }) => row),
          reason.trim(),
        )
      }}
    >
      <TextBox
        flex="1 1 220px"
        maxWidth="360px"
        aria-label={label('Why the entries are set aside')}
        placeholder="why they are set aside"
        maxLength={2000}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
      />
      <Box>
        by{' '}
        <InlineText
          label={label('Your name')}
          value={officer}
          placeholder="your name"
          onChange={setOfficer}
        />
      </Box>
      <QuietButton type="submit" disabled={!isWhole}>
        Set {unread.length === 1 ? 'this entry' : `these ${formatCount(unread.length)} entries`} aside
      </QuietButton>
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
