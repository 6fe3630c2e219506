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
  readable: ReadableStream<Uint8Array>
  writable: WritableStream<Uint8Array>
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

/** The instrument on a port of this browser, until the port ends or it is given up. */
export function listenToSerial(port: SerialPort, tell: Tell): () => void {
  const reader = port.readable.getReader()
  const decoder = new TextDecoder()
  const read = async () => {
    const lines = new Lines()
    tell({ isThere: true })
    for (;;) {
      const { value, done } = await reader.read()
      if (done) break
      for (const line of lines.add(decoder.decode(value, { stream: true }))) tell({ line })
    }
  }
  void read()
    // A plug that was pulled.
    .catch(() => undefined)
    .finally(() => {
      tell({ isThere: false })
      reader.releaseLock()
      void port.close().catch(() => undefined)
    })
  return () => void reader.cancel().catch(() => undefined)
}
