import { asUtf8, firstBytes } from '@/intake/sheet/utf16'
import { createReadStream } from 'node:fs'
import type { Writing } from '@/intake/reading/entry'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import {
  doubtsOf,
  type FormatDoubt,
  GUESSED_FROM,
  guessFormat,
  type SheetFormat,
} from '@/intake/sheet/format'
import { readSheet, type Sheet } from '@/intake/sheet/readSheet'
import { openFile } from './openInput'

const PIECE = 1024 * 1024
/** In UTF-16 what is plain text in UTF-8 has twice as many bytes. */
const FIRST = 2 * GUESSED_FROM

export type SheetFileQuestion = Readonly<{
  file: string
  /** The columns that are read; left out: all. */
  wanted: readonly string[] | undefined
  /** Words that stand for a missing figure. */
  missing: readonly string[]
  /** How it is written, where that is stated and not to be guessed. */
  stated: Partial<Pick<SheetFormat, 'decimalMark' | 'thousands' | 'dateOrder'>>
}>

/** A sheet, and how its numbers are written. */
export type WrittenSheet = Sheet & Readonly<{ writing: Writing }>

/**
 * Reads the wanted columns of a CSV or TSV file, guessing what is not stated of how it is written.
 *
 * @returns the sheet, or its problem, `two-ways` for what the guess can't settle, `column-not-found`, or `missing-words` for
 *   words that may stand for missing figures
 */
export async function readSheetFile(question: SheetFileQuestion): Promise<Outcome<WrittenSheet>> {
  const { file, wanted, missing, stated } = question
  const first = await readFirst(file)
  const beginning = await firstBytes(asUtf8([first], first), GUESSED_FROM)
  const format: SheetFormat = { ...guessFormat(beginning), ...stated, header: 'first-row' }
  const doubt = doubtsOf(format, beginning).find(({ about }) => !IS_STATED[about](stated))
  if (doubt) return failure(twoWays(doubt))
  const source = () => asUtf8(createReadStream(file, { highWaterMark: PIECE }), first)
  const sheet = await readSheet({ source, format, ...(wanted ? { wanted } : {}) })
  if (!sheet.ok) return sheet
  const names = sheet.value.columns.map(({ name }) => name)
  const unknown = wanted?.find((name) => !names.includes(name))
  if (unknown !== undefined) return failure(columnNotFound(unknown, sheet.value.names))
  const asked = sheet.value.missingWords.find(({ word }) => !missing.includes(word))
  if (asked) return failure(missingWords(asked))
  const { decimalMark: mark, thousands } = format
  const rules = [
    ...(thousands === 'none' ? [] : [{ rule: 'thousands' as const, text: thousands }]),
    ...missing.map((text) => ({ rule: 'missing' as const, text })),
  ]
  return success({ ...sheet.value, writing: { mark, rules } })
}

async function readFirst(file: string): Promise<Uint8Array> {
  const handle = await openFile(file)
  try {
    const { buffer, bytesRead } = await handle.read(new Uint8Array(FIRST), 0, FIRST, 0)
    return buffer.subarray(0, bytesRead)
  } finally {
    await handle.close()
  }
}

const IS_STATED: Readonly<Record<FormatDoubt['about'], (stated: SheetFileQuestion['stated']) => boolean>> = {
  thousands: ({ decimalMark }) => decimalMark !== undefined,
  'date-order': ({ dateOrder }) => dateOrder !== undefined,
}

function twoWays({ about, example }: FormatDoubt) {
  const grouped = example.includes(',') ? '1,234.5' : '1.234,5'
  const whole = example.includes(',') ? '1234,5' : '1234.5'
  const message = {
    thousands: `“${example}” can be read in two ways: as ${example.replace(/[.,]/, '')} and as ${example.replace(',', '.')}. Say how the file writes numbers: --numbers "${grouped}" or --numbers "${whole}".`,
    'date-order': `“${example}” can be read in two ways. Say what comes first in the file’s dates: --dates day-first or --dates month-first.`,
  }[about]
  return { code: 'two-ways', path: 'csv', message }
}

function columnNotFound(name: string, names: readonly string[]) {
  const message = `There is no column “${name}”. The file has: ${names.join(', ')}.`
  return { code: 'column-not-found', path: 'csv', message }
}

function missingWords({ column, word, count }: Sheet['missingWords'][number]) {
  const times = count === 1 ? 'once' : `${count} times`
  return {
    code: 'missing-words',
    path: 'csv',
    message: `“${word}” stands ${times} in the column “${column}” among numbers. If it means that nothing was measured, say --missing "${word}"; else correct it.`,
  }
}
