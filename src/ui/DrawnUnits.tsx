'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import { useMemo, useState } from 'react'
import { type Draw, drawnOf } from '@/claims/plan/draw'
import { readSeed } from '@/intake/reading/seed'
import { drawNote, drawTitle, layerTitle, seedProblem, tooManyShown } from '@/words/en/drawWords'
import { CopyButton } from './CopyButton'
import { DownloadLink } from './DownloadLink'
import { TextBox } from './TextBox'

/** More are read from the file. */
const MOST_SHOWN = 2000
const Note = chakra('p', { base: { marginTop: '8px', maxWidth: '72ch' } })
type Unseeded = Draw extends infer One ? (One extends Draw ? Omit<One, 'seed'> : never) : never

/**
 * Which units of a lot are taken, by a seed that anybody can draw them by again; as numbers, as a CSV file and as a sheet to take along.
 *
 * @param draw - but for its seed, which is typed here
 * @param noun - what a unit is called
 */
export function DrawnUnits({ draw, noun }: Readonly<{ draw: Unseeded; noun: string }>) {
  const [seed, setSeed] = useState('1')
  return <SeededUnits draw={draw} noun={noun} seed={seed} onSeed={setSeed} />
}

/** The same by a seed that is kept elsewhere. */
export function SeededUnits({
  draw: unseeded,
  noun,
  seed,
  onSeed,
}: Readonly<{ draw: Unseeded; noun: string; seed: string; onSeed: (seed: string) => void }>) {
  const number = readSeed(seed)
  const draw = { ...unseeded, seed: number ?? 0 } as Draw
  return (
    <details>
      <chakra.summary cursor="pointer" marginTop="16px">
        {drawTitle(draw, noun)}
      </chakra.summary>
      <Box as="label" display="block" marginTop="8px">
        Seed{' '}
        <TextBox
          aria-label="Seed of the draw"
          inputMode="numeric"
          width="8em"
          value={seed}
          onChange={(event) => onSeed(event.target.value)}
        />
      </Box>
      {number === undefined ? (
        <Box role="alert" color="finding.contradicted">
          {seedProblem(seed)}
        </Box>
      ) : (
        <Numbers draw={draw} noun={noun} />
      )}
    </details>
  )
}

function Numbers({ draw, noun }: Readonly<{ draw: Draw; noun: string }>) {
  const asked = JSON.stringify(draw)
  const drawn = useMemo(() => drawnOf(JSON.parse(asked) as Draw), [asked])
  const address = `/api/draw?draw=${encodeURIComponent(asked)}`
  const lines = drawn.flatMap(({ layer, units }) =>
    units.map((unit) => (layer === undefined ? String(unit) : `${layer}\t${unit}`)),
  )
  return (
    <>
      <Note>{drawNote(draw, noun)}</Note>
      <Box fontFamily="mono" fontSize="13px" maxWidth="72ch" marginTop="6px" data-testid="drawn">
        {lines.length > MOST_SHOWN
          ? tooManyShown(lines.length)
          : drawn.map(({ layer, size, units }) => (
              <p key={layer ?? ''}>
                {layer !== undefined && `${layerTitle(layer, units.length, size)}. `}
                {units.join(', ')}
              </p>
            ))}
      </Box>
      <Flex gap="8px 14px" align="center" wrap="wrap" marginTop="6px">
        <CopyButton text={lines.join('\n')}>Copy the numbers</CopyButton>
        <DownloadLink href={`${address}&format=pdf`}>A sheet to take along, as PDF</DownloadLink>
        <DownloadLink href={`${address}&format=csv`}>The list as CSV</DownloadLink>
      </Flex>
    </>
  )
}
