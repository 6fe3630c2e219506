'use client'

import { Box } from '@chakra-ui/react/box'
import { InlineText } from './inline/InlineText'
import { useOfficer } from './officer'

/** Who works at this browser: stands on the trail beside everything that is changed here. */
export function OfficerName() {
  const [officer, setOfficer] = useOfficer()
  return (
    <Box
      color="quiet"
      whiteSpace="nowrap"
      maxWidth="240px"
      overflow="hidden"
      display={{ base: 'none', md: 'block' }}
    >
      <InlineText
        label="Your name, for the trail"
        value={officer}
        placeholder="your name"
        onChange={setOfficer}
      />
    </Box>
  )
}
