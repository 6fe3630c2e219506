'use client'

import { Box } from '@chakra-ui/react'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { SearchBox } from '@/ui/SearchBox'
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
    <Box role="search" aria-label="Cases shown" marginBottom="14px">
      <SearchBox
        label="Search the docket"
        placeholder="Search references, subjects, parties, people and claims"
        value={chosen.text}
        onChange={(text) => change({ text })}
      />
      <Box marginTop="8px" lineHeight="1.9">
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
        :{' '}
        <Box as="span" role="status" color="quiet">
          {found}
        </Box>
      </Box>
    </Box>
  )
}
