'use client'

import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMemo, useState } from 'react'
import { drawUnits } from '@/statistics/resampling/drawUnits'
import { drawNote, drawTitle, seedProblem, tooManyShown } from '@/words/en/drawWords'
import { CopyButton } from './CopyButton'
import { DownloadLink } from './DownloadLink'
import { TextBox } from './TextBox'

/** More are read from the file. */
const MOST_SHOWN = 2000
const Note = chakra('p', { base: { marginTop: '8px', maxWidth: '72ch' } })

/**
 * Which units of a lot are taken, by a seed that anybody can draw them by again; as numbers, as a CSV file and as a sheet to take along.
 *
 * @param noun - what a unit is called
 */
export function DrawnUnits({
  lotSize,
  count,
  noun,
}: Readonly<{ lotSize: number; count: number; noun: string }>) {
  const [seed, setSeed] = useState('1')
  const number = /^\d{1,9}$/.test(seed.trim()) ? Number(seed) : undefined
  const drawn = useMemo(
    () => (number === undefined ? undefined : drawUnits({ lotSize, count, seed: number })),
    [lotSize, count, number],
  )
  const address = `/api/draw?lotSize=${lotSize}&count=${count}&seed=${number}`
  return (
    <details>
      <chakra.summary cursor="pointer" marginTop="16px">
        {drawTitle({ count, lotSize }, noun)}
      </chakra.summary>
      <Box as="label" display="block" marginTop="8px">
        Seed{' '}
        <TextBox
          aria-label="Seed of the draw"
          inputMode="numeric"
          width="8em"
          value={seed}
          onChange={(event) => setSeed(event.target.value)}
        />
      </Box>
      {drawn ? (
        <>
          <Note>{drawNote({ lotSize }, noun)}</Note>
          <Box as="p" fontFamily="mono" fontSize="13px" maxWidth="72ch" data-testid="drawn">
            {drawn.length > MOST_SHOWN ? tooManyShown(drawn.length) : drawn.join(', ')}
          </Box>
          <Flex gap="8px 14px" align="center" wrap="wrap" marginTop="6px">
            <CopyButton text={drawn.join('\n')}>Copy the numbers</CopyButton>
            <DownloadLink href={`${address}&format=pdf`}>A sheet to take along, as PDF</DownloadLink>
            <DownloadLink href={`${address}&format=csv`}>The list as CSV</DownloadLink>
          </Flex>
        </>
      ) : (
        <Box role="alert" color="finding.contradicted">
          {seedProblem(seed)}
        </Box>
      )}
    </details>
  )
}
