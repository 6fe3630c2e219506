/** Rows are made into bytes by so many at a time. */
const ROWS_AT_ONCE = 4096

/** A cell in quotes where it needs them (RFC 4180). */
export function csvCell(text: string): string {
  return /[",\r\n]|^\s|\s$/.test(text) ? `"${text.replaceAll('"', '""')}"` : text
}

/**
 * A cell that no spreadsheet will run: one that begins as a formula does has an apostrophe before it, which spreadsheets take
 * as the mark of a text. Numbers stay as they are.
 */
export function harmlessCell(text: string): string {
  const isNumber = /^[+-]?\d+([.,]\d+)?(e[+-]?\d+)?$/i.test(text)
  return csvCell(/^[=+\-@\t\r]/.test(text) && !isNumber ? `'${text}` : text)
}

export function csvBytes(rows: readonly (readonly string[])[]): Uint8Array {
  const encoder = new TextEncoder()
  const parts: Uint8Array[] = []
  for (let from = 0; from < rows.length; from += ROWS_AT_ONCE) {
    const lines = rows.slice(from, from + ROWS_AT_ONCE).map((row) => `${row.map(csvCell).join(',')}\n`)
    parts.push(encoder.encode(lines.join('')))
  }
  const bytes = new Uint8Array(parts.reduce((length, part) => length + part.length, 0))
  let at = 0
  for (const part of parts) {
    bytes.set(part, at)
    at += part.length
  }
  return bytes
}
