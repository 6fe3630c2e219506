import type { ColumnKind } from '@/desk/sampleDraft'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { cellWriter } from '@/intake/sheet/cellWriter'
import type { Column } from '@/intake/sheet/columns'
import { csvCell } from '@/intake/sheet/csvText'
import { readSheet } from '@/intake/sheet/readSheet'

const ROWS_AT_ONCE = 8192
const FORMAT = {
  separator: ',',
  encoding: 'utf-8',
  decimalMark: 'point',
  thousands: 'none',
  dateOrder: 'year-first',
  header: 'first-row',
} as const

/**
 * A text that no spreadsheet will run as a formula: one that begins as one does, or with an apostrophe, has an apostrophe put
 * before it, which `unguarded` takes away.
 */
const guarded = (text: string): string => csvCell(/^[='+\-@\t\r]/.test(text) ? `'${text}` : text)
const unguarded = (text: string): string => (text.startsWith("'") ? text.slice(1) : text)

/** The cells of a sheet as CSV (RFC 4180, UTF-8, LF), with a header; `readCsv` makes the same columns of it. */
export function* writeCsv(columns: readonly Column[], rowCount: number): Generator<Uint8Array> {
  const encoder = new TextEncoder()
  yield encoder.encode(`${columns.map(({ name }) => guarded(name)).join(',')}\n`)
  const cells = columns.map((column) => cellWriter(column, guarded))
  // An empty line would be no row.
  const alone = columns.length === 1 ? '""' : ''
  for (let from = 0; from < rowCount; from += ROWS_AT_ONCE) {
    const end = Math.min(rowCount, from + ROWS_AT_ONCE)
    let text = ''
    for (let row = from; row < end; row += 1) {
      let line = cells[0]!(row)
      for (let at = 1; at < cells.length; at += 1) line += `,${cells[at]!(row)}`
      text += `${line || alone}\n`
    }
    yield encoder.encode(text)
  }
}

/**
 * The columns of a sheet that `writeCsv` wrote.
 *
 * @param kinds - what each column holds
 */
export async function readCsv(
  bytes: Uint8Array,
  kinds: readonly ColumnKind[],
): Promise<Outcome<readonly Column[]>> {
  const sheet = await readSheet({ source: () => [bytes], format: FORMAT, missingWords: [], kinds })
  if (!sheet.ok) return sheet
  const columns = sheet.value.columns.map(withoutGuards)
  const wrong = columns.find(({ kind }, at) => kind !== kinds[at])
  if (wrong || columns.length !== kinds.length) {
    const seen = wrong
      ? `holds no column of the kind ${kinds[columns.indexOf(wrong)]} where “${wrong.name}” stands`
      : `has ${columns.length} columns in place of ${kinds.length}`
    return failure({ code: 'other-columns', path: 'file', message: `The sheet ${seen}.` })
  }
  return success(columns)
}

function withoutGuards(column: Column): Column {
  const name = unguarded(column.name)
  if (column.kind === 'category') return { ...column, name, dictionary: column.dictionary.map(unguarded) }
  if (column.kind === 'text') return { ...column, name, texts: column.texts.map(unguarded) }
  return { ...column, name }
}
