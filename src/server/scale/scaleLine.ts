import 'server-only'
import net from 'node:net'
import * as z from 'zod/mini'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { Lines } from '@/intake/scale/line'
import { readInput } from '../input'

const USUAL_PORT = 4270
const AGAIN_MS = 1000
/** An instrument that is there answers at once: it is on this machine. */
const PATIENCE_MS = 3000

/** The port of this machine at which an instrument is reached; whoever asks has no say in it. */
function portOfScale(): number {
  const stated = Number(process.env.TRUE_WEIGHT_SCALE_PORT ?? USUAL_PORT)
  return Number.isInteger(stated) && stated > 0 && stated < 65_536 ? stated : USUAL_PORT
}

/** What comes over the line: what the instrument says, and whether it is there. */
export type OverLine = Readonly<{ line: string } | { isThere: boolean }>

/**
 * Listens to the instrument on this machine until it is given up; where the line breaks it is taken up again.
 *
 * @returns ends the listening
 */
export function listenToScale(tell: (said: OverLine) => void): () => void {
  let isOver = false
  let timer: NodeJS.Timeout | undefined
  let socket: net.Socket | undefined
  // Whoever listened is told nothing once it is over.
  const say = (said: OverLine) => {
    if (!isOver) tell(said)
  }
  const connect = () => {
    const lines = new Lines()
    socket = net.connect(portOfScale(), '127.0.0.1')
    socket.setEncoding('utf8')
    socket.on('connect', () => say({ isThere: true }))
    socket.on('data', (piece: string) => {
      for (const line of lines.add(piece)) say({ line })
    })
    socket.on('error', () => undefined)
    socket.on('close', () => {
      say({ isThere: false })
      if (!isOver) timer = setTimeout(connect, AGAIN_MS)
    })
  }
  connect()
  return () => {
    isOver = true
    clearTimeout(timer)
    socket?.destroy()
  }
}

const commandSchema = z.strictObject({ do: z.enum(['tare', 'zero']) })

/**
 * Has the instrument on this machine do something.
 *
 * @param input - `{ do }`
 * @returns the problem `invalid`, or `no-instrument` where there is none
 */
export async function commandScale(input: unknown): Promise<Outcome<null>> {
  const read = readInput(commandSchema, input)
  if (!read.ok) return read
  return new Promise((resolve) => {
    const socket = net.connect(portOfScale(), '127.0.0.1', () => {
      socket.end(`${read.value.do}\n`)
      resolve(success(null))
    })
    socket.setTimeout(PATIENCE_MS, () => socket.destroy(new Error('no answer')))
    socket.on('error', () => resolve(failure(noInstrument())))
    // What it says to this line is said to those that listen too.
    socket.resume()
  })
}

const noInstrument = (): Problem => ({
  code: 'no-instrument',
  path: '',
  message: `No instrument answers on port ${portOfScale()} of this machine. Start one, such as the simulated scale: npm run scale.`,
})
