import { asUtf8, firstBytes } from '@/intake/sheet/utf16'
import type { Look } from '@/pictures/readings'
import { answerClaim } from '@/answers/claim'
import { estimate } from '@/answers/estimateRequest'
import type { EstimateDocument } from '@/claims/estimate'
import type { ClaimDocument } from '@/claims/checkAnswer'
import { canonicalJson } from '@/desk/canonicalJson'
import { describeShortly } from '@/statistics/describe/describe'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { columnOfBytes, unpackColumns } from '@/intake/sheet/columnBytes'
import { cellText, type Column } from '@/intake/sheet/columns'
import {
  doubtsOf,
  type FormatDoubt,
  GUESSED_FROM,
  guessFormat,
  type SheetFormat,
} from '@/intake/sheet/format'
import { readSheet, type SheetSource } from '@/intake/sheet/readSheet'
import { findRows, sortedRows } from '@/intake/sheet/rowOrder'
import { MAX_BYTES, sheetProblems } from '@/intake/sheet/sheetProblems'
import { type SheetView, viewOf } from '@/intake/sheet/takeReadings'
import { namesTaken, type SettledWanted, type Taken, takeWanted } from '@/intake/takenFrom'
import { MAX_WORKBOOK } from '@/intake/workbook/workbookProblems'
import { isWorkbook, readWorkbook, type WorkbookChoice, type WorkbookSheet } from '@/intake/workbook/workbook'
import { expose } from './link'
import { sha256 } from './sha256'

const PREVIEWED_ROWS = 200

/** What can be said of a file by its first rows. */
export type FilePreview = Readonly<{
  format: SheetFormat
  doubts: readonly FormatDoubt[]
  /** Its first rows, or why it can't be read so. */
  view: Outcome<SheetView>
  workbook?: ShownWorkbook
}>

/** A workbook whose sheet is shown: which part of it, and what is to be known of it. */
export type ShownWorkbook = Omit<WorkbookSheet, 'csv'>

export type Sort = Readonly<{ name: string; direction: 'rising' | 'falling' }>
export type ShownRow = Readonly<{ row: number; cells: readonly string[] }>

/** A stored sheet as it is shown: some of its columns, in an order of its rows. */
type ShownSheet = Readonly<{
  sampleId: string
  rowCount: number
  names: readonly string[]
  /** Absent: the order of the file. */
  sort: Sort | undefined
}>

type StoredSheet = Readonly<{ rowCount: number; columns: Map<string, Column> }>
type TakeQuestion = Readonly<{
  sampleId: string
  rowCount: number
  /** With the column of the readings named. */
  wanted: SettledWanted
  /** Rows that are set aside. */
  setAside: readonly number[]
}>

const stored = new Map<string, StoredSheet>()
let order: Readonly<{ key: string; rows: Uint32Array }> | undefined

/** What is done away from the page, so that it stays usable however large a sheet is. */
const sheets = {
  /** Shows the beginning of a file. */
  async preview(
    file: Blob,
    choice: Readonly<{ format?: SheetFormat; workbook?: WorkbookChoice }>,
  ): Promise<Outcome<FilePreview>> {
    const first = new Uint8Array(await file.slice(0, GUESSED_FROM).arrayBuffer())
    const max = isWorkbook(first) ? MAX_WORKBOOK : MAX_BYTES
    if (file.size > max) return failure(sheetProblems.fileTooLarge(file.size, max))
    const opened = await sourceOf(file, first, choice.workbook)
    if (!opened.ok) return opened
    const { source, workbook, problem } = opened.value
    const head = await firstBytes(source(), GUESSED_FROM)
    const format = choice.format ?? guessFormat(head, workbook && ',')
    const read = problem ? failure(problem) : await readSheet({ source, format, maxRows: PREVIEWED_ROWS })
    const view = read.ok ? success(viewOf(read.value)) : read
    return success({ format, doubts: doubtsOf(format, head), view, ...(workbook ? { workbook } : {}) })
  },

  /** What a claim takes from a sheet that is stored: only the columns it needs are fetched, and only once. */
  async take(question: TakeQuestion): Promise<Outcome<Taken>> {
    const { sampleId, rowCount, wanted, setAside } = question
    const columns = await columnsOf(sampleId, rowCount, namesTaken(wanted))
    return columns.ok ? takeWanted({ columns: columns.value, rowCount }, wanted, setAside) : columns
  },

  /** Rows of a stored sheet as texts, each behind its number in the file. */
  async rows(
    { sampleId, rowCount, names, sort }: ShownSheet,
    window: Readonly<{ from: number; to: number }>,
  ): Promise<Outcome<readonly ShownRow[]>> {
    const columns = await columnsOf(sampleId, rowCount, [...names, ...(sort ? [sort.name] : [])])
    if (!columns.ok) return columns
    const rows = orderOf(sampleId, sort)
    const shown = columns.value.slice(0, names.length)
    const count = Math.max(0, Math.min(window.to, rowCount) - window.from)
    return success(
      Array.from({ length: count }, (_, at) => {
        const row = rows ? rows[window.from + at]! : window.from + at
        return { row, cells: shown.map((column) => cellText(column, row)) }
      }),
    )
  },

  /** Where a text stands in a stored sheet: places in the order that it is shown in. */
  async find({ sampleId, rowCount, names, sort }: ShownSheet, text: string): Promise<Outcome<Uint32Array>> {
    const columns = await columnsOf(sampleId, rowCount, names)
    return columns.ok ? success(findRows(columns.value, text, orderOf(sampleId, sort))) : columns
  },

  /** Sorts and describes readings that are too many to be described between two keystrokes. */
  look(values: readonly number[]): Look {
    const sorted = Float64Array.from(values).sort()
    return { sorted, figures: describeShortly(values, sorted) }
  },

  /** SHA-256 of a value's only spelling as JSON. */
  fingerprint: (value: unknown) => sha256(canonicalJson(value)),

  /** Checks what is too large to be checked between two keystrokes. */
  check: (document: ClaimDocument) => answerClaim(document),
  estimate: (document: EstimateDocument) => estimate(document),
}

export type SheetWorker = typeof sheets

expose(sheets)

/** The rows in the order wanted, kept until another is; the column that it goes by has to be read. */
function orderOf(sampleId: string, sort: Sort | undefined): Uint32Array | undefined {
  if (!sort) return undefined
  const key = JSON.stringify([sampleId, sort])
  if (order?.key !== key) {
    const column = stored.get(sampleId)!.columns.get(sort.name)!
    order = { key, rows: sortedRows(column, sort.direction) }
  }
  return order.rows
}

type Opened = Readonly<{
  source: SheetSource
  workbook?: ShownWorkbook
  problem?: Problem
}>

async function sourceOf(
  file: Blob,
  beginning: Uint8Array,
  choice: WorkbookChoice | undefined,
): Promise<Outcome<Opened>> {
  if (!isWorkbook(beginning)) return success({ source: () => asUtf8(piecesOf(file), beginning) })
  const workbook = readWorkbook(new Uint8Array(await file.arrayBuffer()), choice)
  if (!workbook.ok) return workbook
  const { csv, ...shown } = workbook.value
  const bytes = csv.ok ? csv.value : new Uint8Array(0)
  return success({
    workbook: shown,
    source: () => [bytes],
    ...(csv.ok ? {} : { problem: csv.problem }),
  })
}

async function* piecesOf(file: Blob): AsyncGenerator<Uint8Array> {
  const reader = file.stream().getReader()
  try {
    for (;;) {
      const { done, value } = await reader.read()
      if (done) return
      yield value
    }
  } finally {
    await reader.cancel()
  }
}

async function columnsOf(
  sampleId: string,
  rowCount: number,
  names: readonly string[],
): Promise<Outcome<readonly Column[]>> {
  const sheet = stored.get(sampleId) ?? { rowCount, columns: new Map<string, Column>() }
  stored.set(sampleId, sheet)
  const wanted = [...new Set(names)].filter((name) => !sheet.columns.has(name))
  if (wanted.length > 0) {
    const query = wanted.map((name) => `name=${encodeURIComponent(name)}`).join('&')
    const answer = await fetch(`/api/samples/${sampleId}/columns?${query}`)
    if (!answer.ok) return failure(notFetched(answer.status))
    for (const column of unpackColumns(new Uint8Array(await answer.arrayBuffer())).map(columnOfBytes))
      sheet.columns.set(column.name, column)
  }
  return success(names.flatMap((name) => sheet.columns.get(name) ?? []))
}

function notFetched(status: number) {
  const message = `The server answered ${status} where the columns were asked for. Load the page again.`
  return { code: 'columns-not-read', path: 'readings', message }
}
