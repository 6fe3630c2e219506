'use client'

import { usePathname } from 'next/navigation'
import { TRAIL_ACTIONS, type TrailAction } from '@/desk/trail/chain'
import { ACTION_WORDS } from '@/words/en/trailWords'
import { Chooser } from '@/ui/Chooser'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { useChosen } from '@/ui/useChosen'
import { type TrailChoice, trailQuery } from './trailChoice'

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
    <Chooser
      shown="Entries shown"
      search={{
        label: 'Search the trail',
        placeholder: 'Search who, what, when (2026-01-14), before and after',
        text: chosen.text,
        onChange: (text) => change({ text }),
      }}
      found={found}
    >
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
    </Chooser>
  )
}
