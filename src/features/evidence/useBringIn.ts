'use client'

import { useCallback, useRef, useState } from 'react'
import { v4 } from 'uuid'
import type { Outcome, Problem } from '@/claims/terms/outcome'
import type { SheetFormat } from '@/intake/sheet/format'
import type { WorkbookChoice } from '@/intake/workbook/workbook'
import { officerHere } from '@/ui/officer'
import type { FilePreview } from '@/workers/sheetWorker'
import { sheets } from '@/workers/sheets'

export type BringInState =
  | Readonly<{ is: 'none' }>
  | Readonly<{ is: 'opening'; name: string }>
  | Readonly<{ is: 'shown'; name: string; preview: FilePreview; choice: Choice }>
  | (Readonly<{ is: 'taken-in'; name: string }> & Progress)
  | Readonly<{ is: 'asked'; name: string; words: readonly MissingWord[] }>
  | Readonly<{ is: 'refused'; name: string; problem: Problem }>
  | Readonly<{ is: 'cancelled' | 'too-late' | 'cancel-unknown'; name: string }>

/** How much of the file is sent; how many rows are read, and which share of the work is done once it is. */
type Progress = Readonly<{ sent: number; rows: number; share: number }>
type Running = Readonly<{ controller: AbortController; importId: string }>

/** Is told of the new sample, of its columns, and of the one that can hold its readings, where there is only one. */
export type OnBrought = (sampleId: string, names: readonly string[], column: string) => void

/** What was said of the file. */
export type Choice = Readonly<{
  format?: SheetFormat
  workbook?: WorkbookChoice
  /** Names of the columns that are taken; absent: all. */
  columns?: readonly string[] | undefined
  /** Whether the file itself is kept too; absent: it is. */
  isKept?: boolean | undefined
}>
type MissingWord = Readonly<{ column: string; word: string; count: number }>
type Imported =
  | Readonly<{ is: 'brought-in'; sampleId: string; column: string; names: readonly string[] }>
  | Readonly<{ is: 'asked'; missingWords: readonly MissingWord[] }>
type Line = Readonly<{ rows: number; share: number }> | Outcome<Imported>

/** A file on its way into a case: shown first, then taken in whole by the server, or not at all. */
export function useBringIn(caseId: string, onBrought: OnBrought) {
  const [state, setState] = useState<BringInState>({ is: 'none' })
  const file = useRef<File | undefined>(undefined)
  const choice = useRef<Choice>({})
  const request = useRef<Running | undefined>(undefined)

  const show = useCallback(async (chosen: File, wanted: Choice) => {
    const { name } = chosen
    file.current = chosen
    choice.current = wanted
    setState({ is: 'opening', name })
    const preview = await previewOf(chosen, wanted)
    if (file.current !== chosen || choice.current !== wanted) return
    if (!preview.ok) return setState({ is: 'refused', name, problem: preview.problem })
    const { format, workbook } = preview.value
    // What was guessed and shown is what is taken.
    const part = workbook && { sheet: workbook.sheet, ...workbook.part }
    const { rowCount: _, ...taken } = part ?? { rowCount: 0 }
    choice.current = { ...wanted, format, ...(part ? { workbook: { ...wanted.workbook, ...taken } } : {}) }
    setState({ is: 'shown', name, preview: preview.value, choice: choice.current })
  }, [])

  const close = useCallback(() => {
    file.current = undefined
    setState({ is: 'none' })
  }, [])

  /** Cancels what is being taken in, and says what came of it: it may have been stored just before. */
  const cancel = useCallback(async () => {
    const { current: running } = request
    const name = file.current?.name ?? ''
    running?.controller.abort()
    close()
    if (!running) return
    const stored = await cancelled(`/api/cases/${caseId}/samples?import=${running.importId}`)
    setState(
      stored === 'unknown' ? { is: 'cancel-unknown', name } : { is: stored ? 'too-late' : 'cancelled', name },
    )
  }, [caseId, close])

  const takeIn = useCallback(
    async (missingWords?: readonly string[]) => {
      const chosen = file.current
      if (!chosen) return
      const { name } = chosen
      const controller = new AbortController()
      const importId = v4()
      request.current = { controller, importId }
      setState({ is: 'taken-in', name, sent: 0, rows: 0, share: 0 })
      const question = { fileName: name, by: officerHere(), importId, ...choice.current, missingWords }
      const address = `/api/cases/${caseId}/samples?question=${encodeURIComponent(JSON.stringify(question))}`
      const outcome = await send(address, chosen, controller.signal, (progress) =>
        setState({ is: 'taken-in', name, ...progress }),
      )
      if (controller.signal.aborted) return
      request.current = undefined
      if (!outcome.ok) {
        return setState({ is: 'refused', name, problem: outcome.problem })
      }
      if (outcome.value.is === 'asked')
        return setState({ is: 'asked', name, words: outcome.value.missingWords })
      close()
      onBrought(outcome.value.sampleId, outcome.value.names, outcome.value.column)
    },
    [caseId, close, onBrought],
  )

  const change = useCallback(
    (changed: Choice) => {
      // Another part of a workbook is written in its own way, and columns go by names that the format may change.
      const { format, workbook, isKept } = choice.current
      const kept = changed.workbook === undefined && format ? { format } : {}
      const part = workbook ? { workbook } : {}
      if (file.current) void show(file.current, { isKept, ...part, ...kept, ...changed })
    },
    [show],
  )
  const open = useCallback((chosen: File) => void show(chosen, {}), [show])
  return { state, open, change, takeIn, close, cancel }
}

async function previewOf(file: File, choice: Choice): Promise<Outcome<FilePreview>> {
  try {
    return await sheets().preview(file, choice)
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error)
    const message = `The file cannot be read: ${reason}. Choose it once more.`
    return { ok: false, problem: { code: 'file-not-read', path: 'file', message } }
  }
}

/** Whether a sample was stored before its import could be cancelled. */
async function cancelled(address: string): Promise<boolean | 'unknown'> {
  try {
    const answer = (await (await fetch(address, { method: 'DELETE' })).json()) as Outcome<
      Readonly<{ sampleId: string | null }>
    >
    return answer.ok ? answer.value.sampleId !== null : 'unknown'
  } catch {
    return 'unknown'
  }
}

const NO_ANSWER: Problem = {
  code: 'no-answer',
  path: 'file',
  message: 'The server does not answer, and nothing was taken in. Try once more.',
}

/**
 * Sends a file and reads the lines that the server answers while it takes it in. A request of this kind tells how much of the
 * file is sent, which `fetch` does not.
 */
function send(
  address: string,
  file: File,
  signal: AbortSignal,
  onProgress: (progress: Progress) => void,
): Promise<Outcome<Imported>> {
  const request = new XMLHttpRequest()
  let read = 0
  let outcome: Outcome<Imported> = { ok: false, problem: NO_ANSWER }
  const readTo = (end: number) => {
    const lines = request.responseText.slice(read, end).split('\n')
    read = end
    for (const text of lines.filter((one) => one !== '')) {
      const line = JSON.parse(text) as Line
      if ('ok' in line) outcome = line
      else onProgress({ ...line, sent: 1 })
    }
  }
  return new Promise((resolve) => {
    request.upload.onprogress = ({ loaded, total }) => onProgress({ rows: 0, share: 0, sent: loaded / total })
    request.onprogress = () => readTo(request.responseText.lastIndexOf('\n') + 1)
    request.onload = () => readTo(request.responseText.length)
    // Also where it was broken off, or what was answered is no line of JSON.
    request.onloadend = () => resolve(outcome)
    signal.addEventListener('abort', () => request.abort())
    request.open('POST', address)
    request.setRequestHeader('Content-Type', 'application/octet-stream')
    request.send(file)
  })
}
