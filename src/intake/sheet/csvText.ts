/** Rows are made into bytes by so many at a time. */
const ROWS_AT_ONCE = 4096

/** A cell in quotes where it needs them (RFC 4180). */
export function csvCell(text: string): string {
  return /[",\r\n]|^\s|\s$/.test(text) ? `"${text.replaceAll('"', '""')}"` : text
}

/**
 * A cell that no spreadsheet will run: one that begins as a formula does has an apostrophe before it, which spreadsheets take
 * as the mark of a text, and so has one that begins with apostrophes before such a beginning, so that the two stay apart.
 * Numbers stay as they are.
 */
export function harmlessCell(text: string): string {
  const isNumber = /^[+-]?\d+([.,]\d+)?(e[+-]?\d+)?$/i.test(text)
  return csvCell(/^'*[=+\-@\t\r]/.test(text) && !isNumber ? `'${text}` : text)
}

/** Rows as the text of a CSV file, each as long as the longest. */
export function csvBytes(rows: readonly (readonly string[])[]): Uint8Array {
  const encoder = new TextEncoder()
  const width = rows.reduce((widest, row) => Math.max(widest, row.length), 0)
  const parts: Uint8Array[] = []
  let length = 0
  for (let from = 0; from < rows.length; from += ROWS_AT_ONCE) {
    const lines = rows
      .slice(from, from + ROWS_AT_ONCE)
      .map(
        (row) =>
          `${row.map(csvCell).join(',')}${','.repeat(row.length === 0 ? width - 1 : width - row.length)}\n`,
      )
    const part = encoder.encode(lines.join(''))
    parts.push(part)
    length += part.length
  }
  const bytes = new Uint8Array(length)
  let at = 0
  for (const part of parts) {
    bytes.set(part, at)
    at += part.length
  }
  return bytes
}
