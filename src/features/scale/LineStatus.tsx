'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { useState } from 'react'
import { QuietButton } from '@/ui/Button'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InstrumentChoice } from '@/ui/sample/InstrumentChoice'
import { useSample } from '@/ui/sample/SampleProvider'
import { useIsHere } from '@/ui/useIsHere'
import { listenToMachine, listenToSerial, openSerial, serialHere } from './sources'
import type { Line, useLine } from './useLine'

const COMMANDS = { tare: 'Tare', zero: 'Zero' } as const
const SPEEDS = { 1200: '1200', 2400: '2400', 4800: '4800', 9600: '9600', 19200: '19200' } as const

/** Whether the instrument is there, which it is, and what of it was not understood. */
export function LineStatus({ line: { isThere, instrument, unknown } }: Readonly<{ line: Line }>) {
  return (
    <Box marginTop="12px">
      <Box role="status" color={isThere === false ? 'warning' : 'quiet'}>
        {isThere === undefined && 'Asking for the instrument on this machine…'}
        {isThere === false &&
          'No instrument answers. It is asked again and again; what was taken is kept. A simulated one is started with: npm run scale'}
        {isThere && (instrument || 'An instrument that does not say its name')}
      </Box>
      {unknown && (
        <Box role="alert" color="warning">
          It said “{unknown}”, in which no one reading is to be seen: this is not taken for one.
        </Box>
      )}
    </Box>
  )
}

/** What the register says of the instrument goes with the sample, and its name with each reading. */
function OfRegister() {
  const { draft } = useSample()
  return (
    <p>
      With each reading goes {draft.instrument && `“${draft.instrument}”, and `}what the instrument calls
      itself: <InstrumentChoice />
    </p>
  )
}

/** What the instrument is told, and how another one is listened to. */
export function Instrument({
  onListen,
  onProblem,
}: Readonly<{
  onListen: ReturnType<typeof useLine>['listenTo']
  onProblem: (problem: string) => void
}>) {
  const [speed, setSpeed] = useState<`${keyof typeof SPEEDS}`>('9600')
  // What is on a port of this browser is set at the instrument.
  const [isOnPort, setOnPort] = useState(false)
  const isHere = useIsHere()
  const serial = isHere ? serialHere() : undefined
  const connect = async () => {
    try {
      const port = await openSerial(serial!, Number(speed))
      onListen((tell) => listenToSerial(port, tell))
      setOnPort(true)
    } catch (error) {
      onProblem(`The port was not opened: ${error instanceof Error ? error.message : String(error)}`)
    }
  }
  const command = async (what: string) => {
    try {
      const answer = await fetch('/api/scale', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ do: what }),
      })
      const outcome = (await answer.json()) as Readonly<{
        ok: boolean
        problem?: Readonly<{ message: string }>
      }>
      onProblem(outcome.problem?.message ?? '')
    } catch {
      onProblem('The server does not answer. What was taken is kept here; set it at the instrument.')
    }
  }
  return (
    <Box
      role="group"
      aria-label="Instrument"
      marginTop="22px"
      borderTop="1px solid"
      borderColor="rule"
      paddingTop="12px"
    >
      <OfRegister />
      <Flex gap="8px 10px" wrap="wrap" align="center" marginTop="10px">
        {!isOnPort &&
          Object.entries(COMMANDS).map(([what, words]) => (
            <QuietButton key={what} type="button" onClick={() => void command(what)}>
              {words}
            </QuietButton>
          ))}
        {serial && (
          <>
            <QuietButton type="button" onClick={() => void connect()}>
              An instrument on a serial port
            </QuietButton>
            <Box as="span" lineHeight="2.2">
              at <InlineChoice label="Bits a second" value={speed} words={SPEEDS} onChange={setSpeed} /> bits
              a second
            </Box>
            <QuietButton
              type="button"
              onClick={() => {
                onListen(listenToMachine)
                setOnPort(false)
              }}
            >
              The instrument on this machine
            </QuietButton>
          </>
        )}
      </Flex>
    </Box>
  )
}
