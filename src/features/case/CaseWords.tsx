'use client'

import { Box, chakra } from '@chakra-ui/react'
import { useCallback, useState } from 'react'
import { InlineText } from '@/ui/inline/InlineText'
import { putOutcome } from '@/ui/saving/fetchOutcome'
import { SaveLine } from '@/ui/saving/SaveLine'
import type { Saved } from '@/ui/saving/Keeper'
import { useKeeper } from '@/ui/saving/useKeeper'

export type CaseText = Readonly<{ reference: string; subject: string; party: string }>

/** What a case is called, edited in place and stored as it changes. */
export function CaseWords({ id, words: first }: Readonly<{ id: string; words: CaseText }>) {
  const [words, setWords] = useState(first)
  const send = useCallback((changed: CaseText) => putOutcome<Saved>(`/api/cases/${id}`, changed), [id])
  const { state } = useKeeper(words, send)
  const field = (name: keyof CaseText) => ({
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
      <Box>
        Claims made by <InlineText label="Party" placeholder="who makes them" {...field('party')} />
      </Box>
      <SaveLine state={state} />
    </Box>
  )
}
