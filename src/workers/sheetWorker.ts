import { failure, type Outcome, success } from '@/core/outcome'
import { guessFormat, type SheetFormat } from '@/intake/sheet/format'
import { readSheet, type Sheet } from '@/intake/sheet/readSheet'
import { type SheetView, takeReadings, viewOf } from '@/intake/sheet/takeReadings'

/** What the page asks of the worker. */
export type SheetRequest = Readonly<{ id: number }> &
  (
    | Readonly<{ ask: 'open'; file: File; format?: SheetFormat | undefined }>
    | Readonly<{ ask: 'take'; column: string; where: string }>
  )

export type OpenedSheet = Readonly<{ format: SheetFormat; view: SheetView }>

/** What the worker answers: how far it is, or the answer to a request. */
export type SheetReply =
  | Readonly<{ id: number; progress: Readonly<{ rows: number; share: number }> }>
  | Readonly<{ id: number; opened: Outcome<OpenedSheet> }>
  | Readonly<{ id: number; taken: Outcome<readonly number[]> }>

const BEGINNING = 64 * 1024
let sheet: Sheet | undefined

const reply = (message: SheetReply) => postMessage(message)

addEventListener('message', ({ data }: MessageEvent<SheetRequest>) => {
  if (data.ask === 'open') void open(data)
  else reply({ id: data.id, taken: taken(data) })
})

async function open({ id, file, format: stated }: Extract<SheetRequest, { ask: 'open' }>): Promise<void> {
  sheet = undefined
  try {
    const beginning = new Uint8Array(await file.slice(0, BEGINNING).arrayBuffer())
    const format = stated ?? guessFormat(beginning)
    const read = await readSheet({
      source: () => piecesOf(file),
      format,
      onProgress: (rows, bytes) => reply({ id, progress: { rows, share: bytes / file.size } }),
    })
    if (read.ok) sheet = read.value
    reply({ id, opened: read.ok ? success({ format, view: viewOf(read.value) }) : read })
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error)
    const message = `The file cannot be read: ${reason}. Choose it once more.`
    reply({ id, opened: failure({ code: 'file-not-read', path: 'file', message }) })
  }
}

async function* piecesOf(file: File): AsyncGenerator<Uint8Array> {
  const reader = file.stream().getReader()
  for (;;) {
    const { done, value } = await reader.read()
    if (done) return
    yield value
  }
}

function taken({ column, where }: Extract<SheetRequest, { ask: 'take' }>): Outcome<readonly number[]> {
  if (sheet) return takeReadings(sheet, { column, where })
  const message = 'No file is open. Choose one first.'
  return failure({ code: 'no-file', path: 'file', message })
}
