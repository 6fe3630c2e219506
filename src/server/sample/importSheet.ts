import 'server-only'
import { asUtf8 } from '@/intake/sheet/utf16'
import { setImmediate } from 'node:timers/promises'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { columnNamed, EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import { changeBetween } from '@/desk/trail/change'
import type { Connection, Database } from '@/data/client'
import { inTransaction } from '../transaction'
import type { SampleFile } from '@/desk/sampleFile'
import { insertSample } from '@/data/sampleRepository'
import { insertFile } from '@/data/fileRepository'
import { packFile } from '../packed'
import { insertColumns } from '@/data/sheetRepository'
import { hashesOf } from '@/casefile/columnHash'
import { FILE_KEPT, fileWords } from '@/casefile/followsSamples'
import { beginningOf } from '@/desk/typed'
import { holdCase } from '@/data/trailRepository'
import { bytesOfColumn } from '@/intake/sheet/columnBytes'
import { type Column, likelyColumn } from '@/intake/sheet/columns'
import { guessFormat, type SheetFormat } from '@/intake/sheet/format'
import { readSheet, type Sheet } from '@/intake/sheet/readSheet'
import { MAX_BYTES, sheetProblems } from '@/intake/sheet/sheetProblems'
import { isWorkbook, type WorkbookChoice, type WorkbookSheet } from '@/intake/workbook/workbook'
import { workbookProblems } from '@/intake/workbook/workbookProblems'
import { inThread, unlessGivenUp } from '../compute/pool'
import { newIdentifier } from '../identifier'
import { notFound } from '../problems'
import { record } from '../record'

const PIECE = 1024 * 1024
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
      missingWords: Sheet['missingWords']
      /** The only column that can hold readings; empty where several could be meant, and where there is none. */
      column: string
      /** Of all columns. */
      names: readonly string[]
    }>
  /** Words stand among numbers: whether they mean that nothing was measured has to be said first. */
  | Readonly<{ is: 'asked'; missingWords: Sheet['missingWords'] }>

/**
 * Brings a file in as a new sample of a case: all of it, or nothing.
 *
 * @returns the sample, or what has to be asked first, or why the file cannot be taken
 */
export async function importSheet(
  db: Database,
  question: SheetImport,
  now: Date,
): Promise<Outcome<Imported>> {
  const { caseId, by, fileName, signal, body } = question
  const whole = await wholeOf(body, signal)
  if (!whole.ok) return whole
  const hash = crypto.subtle.digest('SHA-256', whole.value)
  // Beside the reading, on another processor.
  const packing = question.isKept === false ? undefined : packFile(whole.value)
  const read = await readWhole(whole.value, question)
  if (!read.ok) return read
  const { sheet, part } = read.value
  const { columns, rowCount, missingWords } = sheet
  if (!question.missingWords && missingWords.length > 0) return success({ is: 'asked', missingWords })
  const packed = await packing
  const fileSha256 = Buffer.from(await hash).toString('hex')
  signal?.throwIfAborted()
  return inTransaction(db, async (transaction): Promise<Outcome<Imported>> => {
    if (!(await holdCase(transaction, caseId))) return failure(notFound('case', caseId))
    const file = { fileName, fileBytes: whole.value.length, fileSha256, rowCount }
    const onStored = async (share: number) => {
      question.onProgress?.(rowCount, READ_SHARE + (1 - READ_SHARE) * share)
      // Whoever cancels is heard between the columns, and until the transaction is committed.
      await setImmediate()
      signal?.throwIfAborted()
    }
    const sampleId = await storeSheet(transaction, {
      ...{ caseId, by, file, columns, now, part, onStored },
      ...(packed ? { packed } : {}),
    })
    const column = likelyColumn(columns)
    return success({
      is: 'brought-in',
      sampleId,
      rowCount,
      missingWords,
      column,
      names: columns.map(({ name }) => name),
    })
  })
}

/** The whole file in memory: a column of numbers may turn out to be one of texts, and is then read again. */
async function wholeOf(
  body: SheetImport['body'],
  signal: AbortSignal | undefined,
): Promise<Outcome<Uint8Array<ArrayBuffer>>> {
  const pieces: Uint8Array[] = []
  let length = 0
  for await (const piece of body) {
    signal?.throwIfAborted()
    length += piece.length
    if (length > MAX_BYTES) return failure(sheetProblems.fileTooLarge(length))
    pieces.push(piece)
  }
  return success(Buffer.concat(pieces))
}

async function readWhole(
  whole: Uint8Array,
  question: SheetImport,
): Promise<Outcome<Readonly<{ sheet: Sheet; part: string }>>> {
  const { signal, onProgress, missingWords, columns: wanted } = question
  let [bytes, part] = [asUtf8(whole), '']
  if (isWorkbook(whole)) {
    const workbook = await unlessGivenUp(() =>
      inThread('workbook', { bytes: whole, choice: question.workbook }, { signal }),
    )
    if (!workbook.ok) return workbook
    const { csv, askedRows, sheet } = workbook.value
    if (!csv.ok) return csv
    if (askedRows > 0) return failure(workbookProblems.hiddenRowsAsked(askedRows, sheet))
    ;[bytes, part] = [csv.value, partWords(workbook.value, question.workbook)]
  }
  const sheet = await readSheet({
    source: () => piecesOf(bytes, signal),
    format: question.format ?? guessFormat(bytes, isWorkbook(whole) ? ',' : undefined),
    wanted,
    missingWords,
    onProgress: (rows, read) => onProgress?.(rows, READ_SHARE * Math.min(1, read / bytes.length)),
  })
  if (!sheet.ok) return sheet
  const { columns, names } = sheet.value
  if (columns.length === 0) return failure(sheetProblems.noColumns(names))
  const chosen =
    columns.length < names.length ? `, columns ${columns.map(({ name }) => name).join(', ')}` : ''
  return success({ sheet: sheet.value, part: `${part}${chosen}` })
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

/** Lets the server answer others between the pieces. */
async function* piecesOf(bytes: Uint8Array, signal: AbortSignal | undefined): AsyncGenerator<Uint8Array> {
  for (let at = 0; at < bytes.length; at += PIECE) {
    await setImmediate()
    signal?.throwIfAborted()
    yield bytes.subarray(at, at + PIECE)
  }
}

/** Stores what was read of a file as a sample. */
export async function storeSheet(
  db: Connection,
  input: Readonly<{
    caseId: string
    by: string
    file: SampleFile
    columns: readonly Column[]
    /** What is known of it beside the file. */
    words?: Partial<SampleDraft>
    now: Date
    /** Which part of the file was taken, for the trail. */
    part?: string
    /** The file itself, packed, where it is kept. */
    packed?: Uint8Array
    /** Told of the share that is stored; what it throws stores nothing. */
    onStored?: (share: number) => Promise<void>
  }>,
): Promise<string> {
  const { caseId, by, file, columns, words, now, part = '', packed, onStored } = input
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
  const change = changeBetween(EMPTY_SAMPLE, { ...draft, cells: await hashesOf(columns) })
  await record(db, { caseId, sampleId: id, at: now, who: by, action: 'brought-in', detail, change })
  return id
}
