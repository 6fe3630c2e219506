'use client'

import { useEffect, useRef, useState } from 'react'
import { Gate, type Standing } from '@/intake/scale/gate'
import { readScaleLine, type ScaleLine, type Shown } from '@/intake/scale/line'
import { listenToMachine, type OverLine } from './sources'

export type Reading = Extract<ScaleLine, { is: 'reading' }>
type Listen = (tell: (said: OverLine) => void) => () => void

/** What an instrument says at the moment. */
export type Line = Readonly<{
  isThere: boolean | undefined
  reading: Reading | undefined
  standing: Standing | undefined
  /** Whether it is known what a unit weighs. */
  isSure: boolean
  tare: Shown | undefined
  instrument: string
  /** The last line that was not understood. */
  unknown: string
}>

const NOTHING: Line = {
  ...{ isThere: undefined, reading: undefined, standing: undefined, isSure: false },
  ...{ tare: undefined, instrument: '', unknown: '' },
}

/**
 * Listens to an instrument.
 *
 * @param onNew - told of a unit that was put on and stands still, until it is taken, from the second unit on; says whether it took it
 */
export function useLine(
  onNew: (reading: Reading, line: Line) => boolean,
): Readonly<{ line: Line; take: (reading: Reading) => void; listenTo: (listen: Listen) => void }> {
  const [line, setLine] = useState(NOTHING)
  const [listen, setListen] = useState<Listen>(() => listenToMachine)
  const [gate] = useState(() => new Gate())
  const newest = useRef(onNew)
  useEffect(() => {
    newest.current = onNew
  })
  useEffect(() => {
    let known = NOTHING
    return listen((said) => {
      const read = 'line' in said ? readScaleLine(said.line) : undefined
      known = after(known, said, read)
      if (read?.is === 'reading') {
        known = { ...known, standing: gate.next(read), isSure: gate.isSure }
        if (known.standing === 'new' && gate.isSure && newest.current(read, known)) gate.take(read)
      }
      setLine(known)
    })
  }, [listen, gate])
  return {
    line,
    take: (reading) => gate.take(reading),
    listenTo: (other) => setListen(() => other),
  }
}

/** What is known after a line, or after the line broke. */
function after(known: Line, said: OverLine, read: ScaleLine | undefined): Line {
  if ('isThere' in said)
    return {
      ...known,
      isThere: said.isThere,
      ...(said.isThere ? {} : { reading: undefined, standing: undefined }),
    }
  switch (read?.is) {
    case 'reading':
      return { ...known, reading: read, unknown: '' }
    case 'tare':
      return { ...known, tare: read }
    case 'instrument':
      return { ...known, instrument: read.name }
    default:
      return { ...known, unknown: read?.text ?? '' }
  }
}
