'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { useState } from 'react'
import { QuietButton } from '@/ui/Button'
import { InlineText } from '@/ui/inline/InlineText'
import { TextBox } from '@/ui/TextBox'
import { useSample } from '@/ui/sample/SampleProvider'
import { useOfficer } from '@/ui/officer'

/** What can be done with one reading: kept out of every test, with a reason, or brought back. */
export function RowToolbar({ row, shown }: Readonly<{ row: number; shown: string }>) {
  const { draft, setAside, bringBack } = useSample()
  const [officer, setOfficer] = useOfficer()
  const [reason, setReason] = useState('')
  const known = draft.setAside.find((one) => one.row === row)
  if (known) {
    return (
      <Flex gap="10px" align="center" wrap="wrap" minHeight="34px">
        <Box>
          Row {row + 1}
          {shown && `: ${shown}`}, set aside{known.by && ` by ${known.by}`}: {known.reason}
        </Box>
        <QuietButton type="button" onClick={() => bringBack(row)}>
          Bring it back
        </QuietButton>
      </Flex>
    )
  }
  const isWhole = reason.trim() !== '' && officer.trim() !== ''
  return (
    <Flex
      as="form"
      gap="10px"
      align="center"
      wrap="wrap"
      minHeight="34px"
      onSubmit={(event) => {
        event.preventDefault()
        if (!isWhole) return
        setAside([row], reason.trim())
        setReason('')
      }}
    >
      <Box>
        Row {row + 1}
        {shown && `: ${shown}`}
      </Box>
      <TextBox
        flex="1 1 200px"
        aria-label="Why it is set aside"
        placeholder="why it is set aside"
        maxLength={2000}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
      />
      <Box>
        by <InlineText label="Your name" value={officer} placeholder="your name" onChange={setOfficer} />
      </Box>
      <QuietButton type="submit" disabled={!isWhole}>
        Set it aside
      </QuietButton>
    </Flex>
  )
}
