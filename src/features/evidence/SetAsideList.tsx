'use client'

import { Box } from '@chakra-ui/react/box'
import { QuietButton } from '@/ui/Button'
import { pointed } from '@/ui/sample/pointed'
import { useSample } from '@/ui/sample/SampleProvider'

/** Every reading that is set aside, with who did it and why; each can be brought back. */
export function SetAsideList() {
  const { draft, bringBack } = useSample()
  if (draft.setAside.length === 0) return <Box color="quiet">Nothing is set aside.</Box>
  return (
    <Box as="ul" aria-label="Readings set aside">
      {draft.setAside.map(({ row, reason, by }) => (
        <Box
          as="li"
          key={row}
          display="flex"
          gap="12px"
          alignItems="center"
          paddingBlock="3px"
          onMouseEnter={() => pointed.set(row)}
          onMouseLeave={() => pointed.set(undefined)}
        >
          <span>
            Row {row + 1}
            {by && `, by ${by}`}: {reason}
          </span>
          <QuietButton type="button" onClick={() => bringBack(row)}>
            Bring it back
          </QuietButton>
        </Box>
      ))}
    </Box>
  )
}
