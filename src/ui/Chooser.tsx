'use client'

import { Box } from '@chakra-ui/react/box'
import type { ReactNode } from 'react'
import { TextBox } from './TextBox'

const LONGEST = 200

/**
 * Which entries of a list are shown: those that hold the words searched for, and those that a sentence says, whose words are
 * chosen in place.
 *
 * @param shown - what the choice is of, for those who hear the page
 * @param found - how many there are
 */
export function Chooser({
  shown,
  search,
  children,
  found,
}: Readonly<{
  shown: string
  search: Readonly<{ label: string; placeholder: string; text: string; onChange: (text: string) => void }>
  children: ReactNode
  found: string
}>) {
  return (
    <Box role="search" aria-label={shown} marginBlock="14px">
      <TextBox
        type="search"
        aria-label={search.label}
        placeholder={search.placeholder}
        width="min(480px, 100%)"
        maxLength={LONGEST}
        value={search.text}
        onChange={(event) => search.onChange(event.target.value)}
      />
      <Box marginTop="8px" lineHeight="1.9">
        {children}:{' '}
        <Box as="span" role="status" color="quiet">
          {found}
        </Box>
      </Box>
    </Box>
  )
}
