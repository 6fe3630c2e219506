import 'server-only'
import { setImmediate } from 'node:timers/promises'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { columnNamed, EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import { changeBetween } from '@/desk/trail/change'
import type { Pieces } from '@/desk/pieces'
import type { Connection, Database } from '@/data/client'
import { inTransaction, unlessFull } from '../transaction'
import type { SampleFile } from '@/desk/sampleFile'
import { insertSample } from '@/data/sampleRepository'
import { insertFile } from '@/data/fileRepository'
import { packFile } from '../packed'
import type { Scratch } from '@/data/scratch'
import { insertColumns } from '@/data/sheetRepository'
import { type Hashes, hashesOf } from '@/casefile/columnHash'
import { FILE_KEPT, fileWords } from '@/casefile/followsSamples'
import { beginningOf } from '@/desk/typed'
import { holdCase } from '@/data/trailRepository'
import { bytesOfColumn } from '@/intake/sheet/columnBytes'
import { type Keeping, type KeptColumn, likelyColumn } from '@/intake/sheet/columns'
import { GUESSED_FROM, guessFormat, type SheetFormat } from '@/intake/sheet/format'
import { keepSheet, type KeptSheet } from '@/intake/sheet/readSheet'
import { sheetProblems } from '@/intake/sheet/sheetProblems'
import { asUtf8, firstBytes } from '@/intake/sheet/utf16'
import { isWorkbook, type WorkbookChoice, type WorkbookSheet } from '@/intake/workbook/workbook'
import { MAX_WORKBOOK, workbookProblems } from '@/intake/workbook/workbookProblems'
import { inThread, unlessGivenUp } from '../compute/pool'
import { newIdentifier } from '../identifier'
import { notFound } from '../problems'
import { record } from '../record'
import { type IncomingFile, inPieces, takeIn } from './incomingFile'
import { KeptPieces, onDisk } from './keptOnDisk'

const PACKED_PIECE = 8 * 1024 * 1024
/** So much of the work is reading, the rest storing. */
const READ_SHARE = 0.6

export type SheetImport = Readonly<{
  caseId: string
  fileName: string
  /** The file from its first byte to its last. */
  body: AsyncIterable<Uint8Array>
  /** Absent: guessed. */
  format?: SheetFormat | undefined
  /** Of a workbook: which part of it. */
  workbook?: WorkbookChoice | undefined
  /** Names of the columns that are taken; absent: all. */
  columns?: readonly string[] | undefined
  /** Words that stand for missing figures; absent: nobody has been asked. */
  missingWords?: readonly string[] | undefined
  /** Whether the file itself is kept, beside what is read of it; it is, unless somebody says otherwise. */
  isKept?: boolean | undefined
  by: string
  signal?: AbortSignal | undefined
  onProgress?: ((rows: number, share: number) => void) | undefined
}>

export type Imported =
  | Readonly<{
      is: 'brought-in'
      sampleId: string
      rowCount: number
      missingWords: KeptSheet['missingWords']
      /** The only column that can hold readings; empty where several could be meant, and where there is none. */
      column: string
      /** Of all columns. */
      names: readonly string[]
    }>
  /** Words stand among numbers: whether they mean that nothing was measured has to be said first. */
  | Readonly<{ is: 'asked'; missingWords: KeptSheet['missingWords'] }>

/**
 * Brings a file in as a new sample of a case: all of it, or nothing.
 *
 * @returns the sample, or what has to be asked first, or why the file cannot be taken
 */
export function importSheet(db: Database, question: SheetImport, now: Date): Promise<Outcome<Imported>> {
  return unlessFull(async () => {
    const scratch = db.scratch()
    const ended = new AbortController()
    const signal = question.signal ? AbortSignal.any([question.signal, ended.signal]) : ended.signal
    let packing: Promise<Iterable<Uint8Array>> | undefined
    try {
      const taken = await takeIn(scratch, question.body, signal)
      if (!taken.ok) return taken
      const file = taken.value
      if (question.isKept !== false) {
        // Beside the reading, on another processor.
        packing = packedOn(scratch, file, signal)
        // Whatever ends the reading is told first.
        packing.catch(() => {})
      }
      const read = await readWhole(file, { ...question, signal }, onDisk(scratch))
      if (!read.ok) return read
      const { missingWords } = read.value.sheet
      if (!question.missingWords && missingWords.length > 0) return success({ is: 'asked', missingWords })
      const hashes = await hashesOf(read.value.sheet.columns)
      const packed = await packing
      signal.throwIfAborted()
      return await store(db, { ...question, signal }, { ...read.value, file, hashes, packed, now })
    } finally {
      ended.abort()
      await packing?.catch(() => {})
      scratch.close()
    }
  })
}

async function packedOn(scratch: Scratch, file: IncomingFile, signal: AbortSignal): Promise<KeptPieces> {
  const kept = new KeptPieces(scratch)
  for await (const piece of packFile(file.pieces(signal, PACKED_PIECE), file.length)) kept.push(piece)
  return kept
}

type Reading = Readonly<{ sheet: KeptSheet; part: string }>

function store(
  db: Database,
  question: SheetImport,
  reading: Reading & Readonly<{ file: IncomingFile; hashes: Hashes; packed: Pieces | undefined; now: Date }>,
): Promise<Outcome<Imported>> {
  const { caseId, by, fileName, signal, onProgress } = question
  const { sheet, part, file, hashes, packed, now } = reading
  const { columns, rowCount, missingWords } = sheet
  return inTransaction(db, async (transaction): Promise<Outcome<Imported>> => {
    if (!(await holdCase(transaction, caseId))) return failure(notFound('case', caseId))
    const onStored = async (share: number) => {
      onProgress?.(rowCount, READ_SHARE + (1 - READ_SHARE) * share)
      // Whoever cancels is heard between the columns, and until the transaction is committed.
      await setImmediate()
      signal?.throwIfAborted()
    }
    const sampleId = await storeSheet(transaction, {
      ...{ caseId, by, columns, hashes, now, part, onStored },
      file: { fileName, fileBytes: file.length, fileSha256: file.sha256, rowCount },
      ...(packed ? { packed } : {}),
    })
    const names = columns.map(({ name }) => name)
    return success({
      ...{ is: 'brought-in', sampleId, rowCount, missingWords, names },
      column: likelyColumn(columns),
    })
  })
}

async function readWhole(
  file: IncomingFile,
  question: SheetImport & Readonly<{ signal: AbortSignal }>,
  keeping: Keeping,
): Promise<Outcome<Reading>> {
  const { signal, onProgress, missingWords, columns: wanted } = question
  const opened = isWorkbook(file.beginning)
    ? await openWorkbook(file, question)
    : success({ ...file, part: '', separator: undefined })
  if (!opened.ok) return opened
  const { length, pieces, part, separator } = opened.value
  let taken = 0
  const counted = async function* () {
    taken = 0
    for await (const piece of pieces(signal)) {
      taken += piece.length
      yield piece
    }
  }
  const source = () => asUtf8(counted(), file.beginning)
  const format = question.format ?? guessFormat(await firstBytes(source(), GUESSED_FROM), separator)
  const onRead = (rows: number) => onProgress?.(rows, READ_SHARE * (taken / length))
  const sheet = await keepSheet({ source, format, wanted, missingWords, onProgress: onRead }, keeping)
  if (!sheet.ok) return sheet
  const { columns, names } = sheet.value
  if (columns.length === 0) return failure(sheetProblems.noColumns(names))
  const chosen =
    columns.length < names.length ? `, columns ${columns.map(({ name }) => name).join(', ')}` : ''
  return success({ sheet: sheet.value, part: `${part}${chosen}` })
}

/** The sheet of a workbook as the text of a CSV file: it is read as a whole, in memory. */
async function openWorkbook(file: IncomingFile, { workbook: choice, signal }: SheetImport) {
  if (file.length > MAX_WORKBOOK) return failure(sheetProblems.fileTooLarge(file.length, MAX_WORKBOOK))
  const bytes = file.whole()
  const workbook = await unlessGivenUp(() => inThread('workbook', { bytes, choice }, { signal }))
  if (!workbook.ok) return workbook
  const { csv, askedRows, sheet } = workbook.value
  if (!csv.ok) return csv
  if (askedRows > 0) return failure(workbookProblems.hiddenRowsAsked(askedRows, sheet))
  const text = inPieces(csv.value.length, (at, size) => csv.value.subarray(at, at + size))
  return success({ ...text, part: partWords(workbook.value, choice), separator: ',' as const })
}

/** Which part of a workbook was taken, for the trail. */
function partWords({ sheet, part, notes }: WorkbookSheet, choice: WorkbookChoice = {}): string {
  const { formulas, hiddenRows } = notes
  const computed =
    formulas.count > 0 ? `, values of ${formulas.count} formulas (${formulas.examples.join('; ')})` : ''
  const hidden =
    hiddenRows.length > 0 ? `, hidden rows ${choice.hiddenRows === 'left-out' ? 'left out' : 'taken'}` : ''
  return `, sheet “${sheet}”, rows ${part.firstRow} to ${part.lastRow} of ${part.rowCount}${hidden}${computed}`
}

/** Stores what was read of a file as a sample. */
export async function storeSheet(
  db: Connection,
  input: Readonly<{
    caseId: string
    by: string
    file: SampleFile
    columns: readonly KeptColumn[]
    /** Of each column, for the trail. */
    hashes: Hashes
    /** What is known of it beside the file. */
    words?: Partial<SampleDraft>
    now: Date
    /** Which part of the file was taken, for the trail. */
    part?: string
    /** The file itself, packed, where it is kept. */
    packed?: Pieces
    /** Told of the share that is stored; what it throws stores nothing. */
    onStored?: (share: number) => Promise<void>
  }>,
): Promise<string> {
  const { caseId, by, file, columns, hashes, words, now, part = '', packed, onStored } = input
  const { fileName } = file
  const id = newIdentifier()
  const draft = {
    ...EMPTY_SAMPLE,
    name: beginningOf(fileName.replace(/\.[a-z0-9]{1,5}$/i, ''), 200),
    columns: columns.map(({ name, kind }) => columnNamed(name, kind)),
    ...words,
    kind: 'file' as const,
  }
  await insertSample(db, { id, caseId, draft, file, now })
  await insertColumns(db, id, columns.map(bytesOfColumn), onStored)
  if (packed) await insertFile(db, id, packed)
  const detail = `${fileWords(file)}${part}${packed ? FILE_KEPT : ''}`
  const change = changeBetween(EMPTY_SAMPLE, { ...draft, cells: hashes })
  await record(db, { caseId, sampleId: id, at: now, who: by, action: 'brought-in', detail, change })
  return id
}
