'use client'

import { Box } from '@chakra-ui/react'
import { usePathname } from 'next/navigation'
import { TRAIL_ACTIONS, type TrailAction } from '@/core/trail/chain'
import { ACTION_WORDS } from '@/core/wording/trailWords'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { SearchBox } from '@/ui/SearchBox'
import { useChosen } from '@/ui/useChosen'
import { type TrailChoice, trailQuery } from './trailView'

const ACTION_CHOICES = {
  '': 'did anything',
  ...(Object.fromEntries(TRAIL_ACTIONS.map((one) => [one, ACTION_WORDS[one]])) as Record<
    TrailAction,
    string
  >),
}

/** Which entries are shown. */
export function TrailChooser({
  choice,
  subjects,
  found,
}: Readonly<{ choice: TrailChoice; subjects: Readonly<Record<string, string>>; found: string }>) {
  const pathname = usePathname()
  const [chosen, change] = useChosen(choice, (wanted) => `${pathname}${trailQuery(wanted)}`)
  return (
    <Box role="search" aria-label="Entries shown" marginTop="14px">
      <SearchBox
        label="Search the trail"
        placeholder="Search who, what, before and after"
        value={chosen.text}
        onChange={(text) => change({ text })}
      />
      <Box marginTop="8px" lineHeight="1.9">
        Entries where somebody{' '}
        <InlineChoice
          label="Action"
          value={chosen.action}
          words={ACTION_CHOICES}
          onChange={(action) => change({ action })}
        />
        , about{' '}
        <InlineChoice
          label="About"
          value={chosen.about}
          words={{ '': 'the whole case', ...subjects }}
          onChange={(about) => change({ about })}
        />
        :{' '}
        <Box as="span" role="status" color="quiet">
          {found}
        </Box>
      </Box>
    </Box>
  )
}
