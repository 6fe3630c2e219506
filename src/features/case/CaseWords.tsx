'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { useCallback, useRef, useState } from 'react'
import { type CaseState, type CaseWords as Words, OFFICE_LENGTH } from '@/desk/caseWords'
import { InlineDay } from '@/ui/InlineDay'
import { InlineText } from '@/ui/inline/InlineText'
import { TextArea } from '@/ui/TextBox'
import { officerHere } from '@/ui/officer'
import { putOutcome } from '@/ui/saving/fetchOutcome'
import { SaveLine } from '@/ui/saving/SaveLine'
import type { Saved } from '@/ui/saving/Keeper'
import { useKeeper } from '@/ui/saving/useKeeper'

const Label = chakra('label', { base: { display: 'block', marginTop: '12px', color: 'quiet' } })

const STATE_SENTENCE: Readonly<Record<CaseState, string>> = {
  open: 'The case is open, since',
  closed: 'The case is closed; it was opened on',
  archived: 'The case is archived; it was opened on',
}

/** What a case is called, edited in place and stored as it changes. */
export function CaseWords({
  id,
  state,
  words: first,
}: Readonly<{ id: string; state: CaseState; words: Words }>) {
  const [words, setWords] = useState(first)
  const stored = useRef(first)
  const send = useCallback(
    async (words: Words) => {
      // Only what changed here is sent, so that what another window changed stays.
      const names = Object.keys(words) as (keyof Words)[]
      const changed = names.filter((name) => words[name] !== stored.current[name])
      const change = {
        words: Object.fromEntries(changed.map((name) => [name, words[name]])),
        by: officerHere(),
      }
      const answer = await putOutcome<Saved>(`/api/cases/${id}`, change)
      if (answer?.ok) stored.current = words
      return answer
    },
    [id],
  )
  const { state: saving } = useKeeper(words, send, { isShownByServer: true, isStored: true })
  const field = (name: keyof Words) => ({
    value: words[name],
    onChange: (value: string) => setWords((known) => ({ ...known, [name]: value })),
  })
  return (
    <Box>
      <Box fontFamily="mono" color="quiet">
        <InlineText label="Reference" placeholder="reference" maxLength={100} {...field('reference')} />
      </Box>
      <chakra.h1 fontFamily="heading" fontSize="28px" fontWeight="600" marginBlock="6px">
        <InlineText label="Subject" placeholder="what is being checked" {...field('subject')} />
      </chakra.h1>
      <Box lineHeight="1.9">
        Claims made by <InlineText label="Party" placeholder="who makes them" {...field('party')} />.{' '}
        {STATE_SENTENCE[state]}{' '}
        <InlineDay label="Opened on" placeholder="day of opening" {...field('openedOn')} />, due{' '}
        <InlineDay label="Due on" placeholder="day" {...field('dueOn')} />
        {(state !== 'open' || words.closedOn !== '') && (
          <>
            , closed on <InlineDay label="Closed on" placeholder="day" {...field('closedOn')} />
          </>
        )}
        .
      </Box>
      <Label>
        People
        <TextArea maxLength={20_000} {...areaOf(field('people'))} />
      </Label>
      <Label>
        Notes
        <TextArea maxLength={20_000} {...areaOf(field('notes'))} />
      </Label>
      <OfficeWords field={field} />
      <SaveLine state={saving} />
    </Box>
  )
}

type Field = Readonly<{ value: string; onChange: (value: string) => void }>

const areaOf = ({ value, onChange }: Field) => ({
  value,
  onChange: ({ target }: Readonly<{ target: Readonly<{ value: string }> }>) => onChange(target.value),
})

/** What the report states of the office, which the case took over when it was opened, and for whom it is. */
function OfficeWords({ field }: Readonly<{ field: (name: keyof Words) => Field }>) {
  return (
    <chakra.details marginTop="10px">
      <chakra.summary cursor="pointer" color="quiet">
        What the report states of the office
      </chakra.summary>
      <Label>
        Name and address
        <TextArea maxLength={OFFICE_LENGTH} {...areaOf(field('office'))} />
      </Label>
      <Box lineHeight="1.9" marginTop="6px">
        Made for{' '}
        <InlineText
          label="Customer or occasion"
          placeholder="a customer, or an occasion"
          {...field('occasion')}
        />
        ; the report is authorised by{' '}
        <InlineText label="Authorised by" placeholder="name and function" {...field('authorisedBy')} />.
      </Box>
      <Label>
        Accreditation
        <TextArea maxLength={OFFICE_LENGTH} {...areaOf(field('accreditation'))} />
      </Label>
    </chakra.details>
  )
}
