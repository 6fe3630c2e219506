import { Lines } from '@/intake/scale/line'

/** What comes from an instrument: a line, or whether it is there. */
export type OverLine = Readonly<{ line: string } | { isThere: boolean }>
type Tell = (said: OverLine) => void

const AGAIN_MS = 2000

/** The instrument on the server's machine; taken up again wherever the server went away. */
export function listenToMachine(tell: Tell): () => void {
  let source: EventSource
  let timer: ReturnType<typeof setTimeout> | undefined
  const open = () => {
    source = new EventSource('/api/scale')
    source.onmessage = ({ data }: MessageEvent<string>) => tell(JSON.parse(data) as OverLine)
    source.onerror = () => {
      tell({ isThere: false })
      source.close()
      timer = setTimeout(open, AGAIN_MS)
    }
  }
  open()
  return () => {
    clearTimeout(timer)
    source.close()
  }
}

/** What of the Web Serial API (WICG) is used. */
type SerialPort = Readonly<{
  open: (how: Readonly<{ baudRate: number }>) => Promise<void>
  close: () => Promise<void>
  /** Another one after each error on the line; null once the port is gone. */
  readable: ReadableStream<Uint8Array> | null
}>
type Serial = Readonly<{ requestPort: () => Promise<SerialPort> }>

/** The serial ports of this browser; undefined where it has none. */
export const serialHere = (): Serial | undefined =>
  (navigator as unknown as Readonly<{ serial?: Serial }>).serial

/** A port that whoever sits here chooses, and that is open. */
export async function openSerial(serial: Serial, baudRate: number): Promise<SerialPort> {
  const port = await serial.requestPort()
  await port.open({ baudRate })
  return port
}

/** The instrument on a port of this browser, until the port is gone or it is given up. */
export function listenToSerial(port: SerialPort, tell: Tell): () => void {
  let isOver = false
  let reader: ReadableStreamDefaultReader<Uint8Array> | undefined
  const read = async () => {
    // What the line garbled ends a stream, and the port has another one; without one it was pulled out.
    while (port.readable && !isOver) {
      reader = port.readable.getReader()
      tell({ isThere: true })
      isOver = await hearOut(reader, tell)
      reader.releaseLock()
    }
    tell({ isThere: false })
    await port.close()
  }
  // A port that is gone already can't be closed.
  void read().catch(() => undefined)
  return () => {
    isOver = true
    void reader?.cancel().catch(() => undefined)
  }
}

/** Tells of every line of a stream. @returns whether it came to its end; else it broke */
async function hearOut(reader: ReadableStreamDefaultReader<Uint8Array>, tell: Tell): Promise<boolean> {
  const [lines, decoder] = [new Lines(), new TextDecoder()]
  try {
    for (;;) {
      const { value, done } = await reader.read()
      if (done) return true
      for (const line of lines.add(decoder.decode(value, { stream: true }))) tell({ line })
    }
  } catch {
    return false
  }
}
