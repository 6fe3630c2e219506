import type { Problem } from '@/claims/terms/outcome'

const problem = (code: string, message: string): Problem => ({ code, path: 'file', message })

/** Ten million rows; what is read of a larger file would be too large for the case's own. */
export const MAX_BYTES = 768 * 1024 * 1024
const megabytes = (bytes: number) => `${Math.ceil(bytes / 1024 / 1024)} MB`

/** Everything that can keep a sheet file from being read: where, what was seen, and what would do. */
export const sheetProblems = {
  fileTooLarge: (seen: number, max: number) =>
    problem(
      'file-too-large',
      `The file has ${megabytes(seen)} at least; at most ${megabytes(max)} are taken. Leave out the rows or columns that are not in question.`,
    ),
  empty: () => problem('file-empty', 'The file is empty. It needs at least one row of cells.'),
  onlyHeader: () =>
    problem('no-rows', 'The file has a header and no row below it. It needs at least one row.'),
  binary: (line: number) =>
    problem(
      'file-not-text',
      `Line ${line} holds characters that no text has: this is not a CSV or TSV file. Open a workbook as such, or save it as CSV.`,
    ),
  quoteNotClosed: (line: number) =>
    problem(
      'quote-not-closed',
      `A quote that opens on line ${line} is never closed. Close it, or double it where it belongs to the text.`,
    ),
  afterQuote: (line: number, column: number) =>
    problem(
      'text-after-quote',
      `On line ${line}, in column ${column}, text follows a closing quote. Double the quote where it belongs to the text.`,
    ),
  cellTooLong: (line: number, max: number) =>
    problem(
      'cell-too-long',
      `The row on line ${line} is longer than ${max} characters. Check that its quotes are closed and the separator is right.`,
    ),
  unevenRow: (line: number, seen: number, needed: number) =>
    problem(
      'uneven-row',
      `The row on line ${line} has ${seen} ${seen === 1 ? 'cell' : 'cells'} where the first row has ${needed}. Correct the row, or choose another separator.`,
    ),
  wrongEncoding: (line: number, column: number, encoding: string) =>
    problem(
      'wrong-encoding',
      `On line ${line}, in column ${column}, bytes stand that are no ${encoding.toUpperCase()}. Choose another encoding, or save the whole file in one.`,
    ),
  headerTwice: (name: string) =>
    problem('header-twice', `Two columns are named “${name}”. Give each a name of its own.`),
  nameTooLong: (column: number, seen: number, max: number) =>
    problem(
      'name-too-long',
      `The name of column ${column} has ${seen} characters; at most ${max} are kept. Shorten it in the first row of the file.`,
    ),
  noColumns: (names: readonly string[]) =>
    problem('no-columns', `None of the columns wanted is there. The file has: ${names.join(', ')}.`),
  tooManyColumns: (seen: number, max: number) =>
    problem(
      'too-many-columns',
      `The file has ${seen} columns; at most ${max} are taken. Leave out those that are not needed.`,
    ),
  tooLarge: (line: number, name: string, seen: string) =>
    problem(
      'number-too-large',
      `On line ${line}, “${seen}” in the column “${name}” is beyond what this program can hold, about 1.8 × 10³⁰⁸. Correct it, or leave the cell empty.`,
    ),
} as const
