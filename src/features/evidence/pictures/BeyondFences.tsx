'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import type { Drawn, Look } from '@/pictures/readings'
import { pointed } from '@/ui/sample/pointed'
import { formatCount, formatReading, withUnit } from '@/words/figures'

/** Readings beyond the fences that are listed; the others are counted. */
const MAX_LISTED = 12
const Reading = chakra('button', {
  base: {
    minWidth: '24px',
    minHeight: '24px',
    padding: '0 4px',
    border: 0,
    bg: 'transparent',
    fontFamily: 'mono',
    fontSize: '13px',
    cursor: 'pointer',
    textDecoration: 'underline',
    textDecorationColor: 'brass',
  },
})

/** The readings that lie beyond the fences: each can be pointed at and chosen. */
export function BeyondFences({
  drawn,
  figures,
  inUnit,
  onChoose,
}: Readonly<{
  drawn: Drawn
  figures: Look['figures']
  inUnit: (value: number) => string
  onChoose: (row: number) => void
}>) {
  const { beyondFences, fences } = figures
  const between = `${inUnit(fences[0])} and ${inUnit(fences[1])}`
  const more = beyondFences.length - MAX_LISTED
  return (
    <Box marginTop="8px">
      {beyondFences.length === 0
        ? `No reading lies beyond the fences, ${between}.`
        : `${formatCount(beyondFences.length)} ${beyondFences.length === 1 ? 'reading lies' : 'readings lie'} beyond the fences, ${between}: `}
      {beyondFences.slice(0, MAX_LISTED).map((place) => {
        const row = drawn.rows[place]!
        const point = () => pointed.set(row)
        const leave = () => pointed.set(undefined)
        return (
          <Reading
            key={place}
            type="button"
            onClick={() => onChoose(row)}
            onMouseEnter={point}
            onMouseLeave={leave}
            onFocus={point}
            onBlur={leave}
          >
            {withUnit(formatReading(drawn.values[place]!), drawn.unit)} (row {row + 1})
          </Reading>
        )
      })}
      {more > 0 && ` and ${formatCount(more)} more.`}
    </Box>
  )
}
