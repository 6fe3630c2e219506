'use client'

import { Chooser } from '@/ui/Chooser'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { useChosen } from '@/ui/useChosen'
import {
  addressOf,
  DIRECTION_WORDS,
  type DocketChoice,
  FINDING_WORDS,
  ORDER_WORDS,
  STATE_WORDS,
} from './docketView'

/** Which cases are shown and in which order, as a sentence whose words are chosen in place. */
export function DocketChooser({ choice, found }: Readonly<{ choice: DocketChoice; found: string }>) {
  const [chosen, change] = useChosen(choice, addressOf)
  return (
    <Chooser
      shown="Cases shown"
      search={{
        label: 'Search the docket',
        placeholder: 'Search references, subjects, parties, people and claims',
        text: chosen.text,
        onChange: (text) => change({ text }),
      }}
      found={found}
    >
      Cases that are{' '}
      <InlineChoice
        label="State"
        value={chosen.state}
        words={STATE_WORDS}
        onChange={(state) => change({ state })}
      />{' '}
      and have{' '}
      <InlineChoice
        label="Finding"
        value={chosen.outcome}
        words={FINDING_WORDS}
        onChange={(outcome) => change({ outcome })}
      />
      , by{' '}
      <InlineChoice
        label="Order"
        value={chosen.order}
        words={ORDER_WORDS}
        onChange={(order) => change({ order })}
      />
      ,{' '}
      <InlineChoice
        label="Direction"
        value={chosen.direction}
        words={DIRECTION_WORDS}
        onChange={(direction) => change({ direction })}
      />
    </Chooser>
  )
}
