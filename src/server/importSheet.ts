import 'server-only'
import { createHash } from 'node:crypto'
import { createReadStream } from 'node:fs'
import { mkdtemp, open, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { failure, type Outcome, success } from '@/core/outcome'
import { columnNamed, EMPTY_SAMPLE, type SampleDraft } from '@/core/sample/sampleDraft'
import { updateCase } from '@/data/caseRepository'
import { type Connection, type Database, inTransaction } from '@/data/client'
import { insertSample, insertTrailEntry, type SampleFile } from '@/data/sampleRepository'
import { insertColumns } from '@/data/sheetRepository'
import { bytesOfColumn } from '@/intake/sheet/columnBytes'
import { type Column, likelyColumn } from '@/intake/sheet/columns'
import { guessFormat, type SheetFormat } from '@/intake/sheet/format'
import { readSheet, type Sheet, type SheetSource } from '@/intake/sheet/readSheet'
import { sheetProblems } from '@/intake/sheet/sheetProblems'
import { isWorkbook, readWorkbook } from '@/intake/workbook/workbook'
import { newIdentifier } from './identifier'
import { notFound } from './problems'

const BEGINNING = 64 * 1024
const PIECE = 1024 * 1024

export type SheetImport = Readonly<{
  caseId: string
  fileName: string
  /** The file from its first byte to its last. */
  body: AsyncIterable<Uint8Array>
  /** Absent: guessed. */
  format?: SheetFormat | undefined
  /** Of a workbook: which of its sheets; absent: the first. */
  workbookSheet?: string | undefined
  /** Words that stand for missing figures; absent: nobody has been asked. */
  missingWords?: readonly string[] | undefined
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
      /** The column that most likely holds the readings; empty where none holds numbers. */
      column: string
    }>
  /** Words stand among numbers: whether they mean that nothing was measured has to be said first. */
  | Readonly<{ is: 'asked'; missingWords: Sheet['missingWords'] }>

/**
 * Brings a file in as a new sample of a case: all of it, or nothing.
 *
 * The file is kept beside the database until it has been read, because a column of numbers may turn out to be one of texts.
 *
 * @returns the sample, or what has to be asked first, or why the file cannot be taken
 */
export async function importSheet(
  db: Database,
  question: SheetImport,
  now: Date,
): Promise<Outcome<Imported>> {
  const folder = await mkdtemp(path.join(process.env.TRUE_WEIGHT_DATA ?? tmpdir(), 'incoming-'))
  try {
    const file = path.join(folder, 'file')
    const kept = await keepFile(file, question)
    if (!kept.ok) return kept
    const sheet = await readKept(file, kept.value.fileBytes, question)
    if (!sheet.ok) return sheet
    const { missingWords } = sheet.value
    if (!question.missingWords && missingWords.length > 0) return success({ is: 'asked', missingWords })
    question.signal?.throwIfAborted()
    const { caseId, by } = question
    const { columns, rowCount } = sheet.value
    return await inTransaction(db, async (transaction): Promise<Outcome<Imported>> => {
      const isThere = await updateCase(transaction, caseId, { updatedAt: now })
      if (!isThere) return failure(notFound('case', caseId))
      const file = { ...kept.value, rowCount }
      const sampleId = await storeSheet(transaction, { caseId, by, file, columns, now })
      return success({
        is: 'brought-in',
        sampleId,
        rowCount,
        missingWords,
        column: likelyColumn(columns),
      })
    })
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}

type Kept = Omit<SampleFile, 'rowCount'>

async function keepFile(file: string, { body, fileName, signal }: SheetImport): Promise<Outcome<Kept>> {
  const hash = createHash('sha256')
  const handle = await open(file, 'wx')
  let fileBytes = 0
  try {
    for await (const piece of body) {
      signal?.throwIfAborted()
      fileBytes += piece.length
      if (fileBytes > sheetProblems.mostBytes) return failure(sheetProblems.fileTooLarge(fileBytes))
      hash.update(piece)
      await handle.write(piece)
    }
  } finally {
    await handle.close()
  }
  return success({ fileName, fileBytes, fileSha256: hash.digest('hex') })
}

async function readKept(file: string, size: number, question: SheetImport): Promise<Outcome<Sheet>> {
  const { signal, onProgress, missingWords } = question
  const beginning = await beginningOf(file)
  let source: SheetSource = () => createReadStream(file, { highWaterMark: PIECE, signal })
  let read = beginning
  if (isWorkbook(beginning)) {
    const workbook = await readWorkbook(await wholeOf(file), question.workbookSheet)
    if (!workbook.ok) return workbook
    read = workbook.value.csv
    source = () => [read]
  }
  const format = question.format ?? guessFormat(read.subarray(0, BEGINNING))
  return readSheet({
    source,
    format,
    missingWords,
    onProgress: (rows, bytes) => onProgress?.(rows, Math.min(1, bytes / size)),
  })
}

async function beginningOf(file: string): Promise<Uint8Array> {
  const handle = await open(file)
  try {
    const bytes = new Uint8Array(BEGINNING)
    const { bytesRead } = await handle.read(bytes, 0, BEGINNING, 0)
    return bytes.subarray(0, bytesRead)
  } finally {
    await handle.close()
  }
}

async function wholeOf(file: string): Promise<Uint8Array> {
  const handle = await open(file)
  try {
    return await handle.readFile()
  } finally {
    await handle.close()
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
  }>,
): Promise<string> {
  const { caseId, by, file, columns, words, now } = input
  const { fileName, fileBytes, fileSha256, rowCount } = file
  const id = newIdentifier()
  const draft = {
    ...EMPTY_SAMPLE,
    name: fileName.replace(/\.[a-z0-9]{1,5}$/i, '').slice(0, 200),
    columns: columns.map(({ name, kind }) => columnNamed(name, kind)),
    ...words,
    kind: 'file' as const,
  }
  await insertSample(db, { id, caseId, draft, file, now })
  await insertColumns(db, id, columns.map(bytesOfColumn))
  const detail = `${fileName}, ${fileBytes} bytes, ${rowCount} rows, SHA-256 ${fileSha256}`
  const entry = {
    id: newIdentifier(),
    caseId,
    sampleId: id,
    at: now,
    who: by,
    action: 'brought-in',
    detail,
  } as const
  await insertTrailEntry(db, entry)
  return id
}
