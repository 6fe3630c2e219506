import type { Readable } from 'node:stream'
import Papa from 'papaparse'
import { failure, type Outcome, success } from '@/core/outcome'
import { readNumber } from '@/intake/number'
import type { RowCondition } from '@/intake/rowCondition'

export type ColumnOfCsv = Readonly<{
  /** The cells of the rows kept, but for the empty ones. */
  cells: readonly string[]
  rowCount: number
  emptyCount: number
}>

type Wanted = Readonly<{ input: Readable; column: string; conditions: readonly RowCondition[] }>

/**
 * Reads one column of a CSV file with a header line, keeping the rows that meet every condition.
 *
 * @returns the cells, or the problem `csv-not-read`, `column-not-found` or `no-rows`
 */
export async function readCsvColumn({ input, column, conditions }: Wanted): Promise<Outcome<ColumnOfCsv>> {
  const cells: string[] = []
  let [rowCount, emptyCount] = [0, 0]
  const parser = input.setEncoding('utf8').pipe(Papa.parse(Papa.NODE_STREAM_INPUT, { skipEmptyLines: true }))
  let header: readonly string[] | undefined
  for await (const row of parser as AsyncIterable<string[]>) {
    if (!header) {
      header = row.map((name) => name.replace(/^\ufeff/, '').trim())
      const missing = [column, ...conditions.map((condition) => condition.column)].find(
        (name) => !header!.includes(name),
      )
      if (missing !== undefined) return failure(columnNotFound(missing, header))
      continue
    }
    rowCount += 1
    if (row.length !== header.length) return failure(unevenRow(rowCount + 1, row.length, header.length))
    const cellOf = (name: string) => row[header!.indexOf(name)]!
    if (!conditions.every((condition) => condition.holds(cellOf(condition.column)))) continue
    const cell = cellOf(column).trim()
    if (cell === '') emptyCount += 1
    else cells.push(cell)
  }
  if (!header)
    return failure(problem('csv-not-read', 'The file is empty. It needs a header line and rows below it.'))
  return cells.length > 0
    ? success({ cells, rowCount, emptyCount })
    : failure(
        problem(
          'no-rows',
          `None of the ${rowCount} rows has a value in “${column}” and meets the conditions.`,
        ),
      )
}

/** The cells as numbers, or the problem `not-a-number`. */
export function numbersOf({ cells }: ColumnOfCsv, column: string): Outcome<readonly number[]> {
  const values: number[] = []
  for (const cell of cells) {
    const reading = readNumber(cell, 'point')
    if (!reading.ok) {
      return failure(
        problem(
          'not-a-number',
          `“${cell}” in the column “${column}” is not a number. Correct it, or leave its row out by --where.`,
        ),
      )
    }
    values.push(reading.value)
  }
  return success(values)
}

function problem(code: string, message: string) {
  return { code, path: 'csv', message }
}

function columnNotFound(name: string, header: readonly string[]) {
  return problem('column-not-found', `There is no column “${name}”. The file has: ${header.join(', ')}.`)
}

function unevenRow(line: number, seen: number, needed: number) {
  return problem(
    'csv-not-read',
    `Row ${line} has ${seen} cells where the header has ${needed}. Correct the row.`,
  )
}
