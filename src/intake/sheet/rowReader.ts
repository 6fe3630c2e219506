import type { Problem } from '@/claims/terms/outcome'
import { compact, isBlank, QUOTE, SPACE } from './cellBytes'
import type { SheetFormat } from './format'
import { sheetProblems } from './sheetProblems'

const LINE_FEED = 0x0a
const CARRIAGE_RETURN = 0x0d
const TAB = 0x09
const [PLAIN, WIDE, SPECIAL] = [0, 1, 2]
const BYTE_ORDER_MARK = [0xef, 0xbb, 0xbf]
/** A row longer than this has a quote that is not closed, or a separator that is not the file's. */
const LONGEST_ROW = 4 * 1024 * 1024

type RowTaker = Readonly<{
  row: (bytes: Uint8Array, bounds: Int32Array, count: number, line: number) => Problem | undefined
}>

/**
 * Takes the bytes of a sheet file apart into rows of cells, as they come, without making texts of them.
 *
 * Cells may stand in double quotes (RFC 4180); lines end in LF, CRLF or CR; blanks round a cell are not part of it; empty
 * lines are passed over.
 */
export class RowReader {
  private rest = new Uint8Array(0)
  private line = 1
  private isFirst = true
  private bounds = new Int32Array(64)
  private count = 0
  /** The quoted cell that was read last. */
  private readonly quoted = { end: 0, from: 0, to: 0, lines: 0, hasWide: false }
  /** Cells of the row that hold doubled quotes: which, and where each ends with them. */
  private doubled: { cell: number; end: number }[] = []
  private readonly separator: number
  private readonly classes: Uint8Array
  private readonly validate: ((bytes: Uint8Array) => boolean) | undefined
  private readonly format: SheetFormat
  private readonly taker: RowTaker

  constructor(format: SheetFormat, taker: RowTaker) {
    this.format = format
    this.taker = taker
    this.separator = format.separator.charCodeAt(0)
    this.classes = classesFor(this.separator)
    this.validate = format.encoding === 'utf-8' ? isUtf8 : undefined
  }

  push(chunk: Uint8Array): Problem | undefined {
    let bytes = chunk
    if (this.rest.length > 0) {
      bytes = new Uint8Array(this.rest.length + chunk.length)
      bytes.set(this.rest)
      bytes.set(chunk, this.rest.length)
    }
    if (this.isFirst) {
      if (bytes.length < BYTE_ORDER_MARK.length) {
        this.rest = new Uint8Array(bytes)
        return undefined
      }
      if (BYTE_ORDER_MARK.every((byte, i) => bytes[i] === byte))
        bytes = bytes.subarray(BYTE_ORDER_MARK.length)
      this.isFirst = false
    }
    const read = this.readRows(bytes, 'more')
    if (typeof read !== 'number') return read
    this.rest = new Uint8Array(bytes.subarray(read))
    return this.rest.length > LONGEST_ROW ? sheetProblems.cellTooLong(this.line, LONGEST_ROW) : undefined
  }

  finish(): Problem | undefined {
    const read = this.readRows(this.rest, 'end')
    return typeof read === 'number' ? undefined : read
  }

  /** Reads every whole row; returns where the first one begins that is not. */
  private readRows(given: Uint8Array, follows: 'more' | 'end'): number | Problem {
    let bytes = given
    const { separator } = this
    const { length } = bytes
    const { classes } = this
    let rowStart = 0
    let start = 0
    let at = 0
    let lines = 0
    let isAscii = true
    this.count = 0
    this.doubled.length = 0
    while (at < length) {
      while (at < length && classes[bytes[at]!] === PLAIN) at += 1
      if (at === length && follows === 'more') return rowStart
      const byte = at < length ? bytes[at]! : LINE_FEED
      if (byte === separator) {
        this.trimmed(bytes, start, at)
        at += 1
        start = at
        continue
      }
      if (byte === QUOTE && isBlank(bytes, start, at)) {
        // One object for all cells: a million new ones would have to be cleared away.
        const { quoted } = this
        this.readQuoted(bytes, at)
        if (quoted.end < 0) {
          return follows === 'more' ? rowStart : sheetProblems.quoteNotClosed(this.line + lines)
        }
        lines += quoted.lines
        at = quoted.end + 1
        while (at < length && bytes[at] === SPACE) at += 1
        const next = bytes[at]
        if (next === undefined && follows === 'more') return rowStart
        if (next !== undefined && next !== separator && next !== LINE_FEED && next !== CARRIAGE_RETURN) {
          return sheetProblems.afterQuote(this.line + lines, this.count + 1)
        }
        if (quoted.hasWide) isAscii = false
        if (quoted.to < quoted.end) {
          // The doubled quotes are made single in a copy: whoever gave the bytes may read them again. A Buffer's slice is a view.
          if (bytes === given) bytes = new Uint8Array(given)
          this.doubled.push({ cell: this.count, end: quoted.end })
        }
        this.bound(quoted.from, quoted.to)
        if (next === separator) {
          at += 1
          start = at
          continue
        }
        start = -1
      } else if (byte !== LINE_FEED && byte !== CARRIAGE_RETURN) {
        if (classes[byte] === WIDE) isAscii = false
        else if (byte !== QUOTE) return sheetProblems.binary(this.line + lines)
        at += 1
        if (at < length) continue
        if (follows === 'more') return rowStart
      }
      // The end of a row: a line end, or the end of the file.
      const isEnd = at >= length
      if (!isEnd && bytes[at] === CARRIAGE_RETURN && at + 1 === length && follows === 'more') return rowStart
      if (start >= 0) this.trimmed(bytes, start, Math.min(at, length))
      const problem = this.row(bytes, isAscii, rowStart, at)
      if (problem) return problem
      if (!isEnd) at += bytes[at] === CARRIAGE_RETURN && bytes[at + 1] === LINE_FEED ? 2 : 1
      this.line += lines + 1
      lines = 0
      rowStart = at
      start = at
      isAscii = true
      this.count = 0
    }
    // A separator at the very end leaves an empty cell behind it.
    if (follows === 'end' && this.count > 0) {
      this.bound(length, length)
      const problem = this.row(bytes, isAscii, rowStart, length)
      if (problem) return problem
      rowStart = length
    }
    return rowStart
  }

  private row(bytes: Uint8Array, isAscii: boolean, from: number, to: number): Problem | undefined {
    const { count, bounds } = this
    if (count === 1 && bounds[0] === bounds[1] && isBlank(bytes, from, to)) return undefined
    if (!isAscii && this.validate && !this.validate(bytes.subarray(from, to))) {
      const wrong = Array.from({ length: count }, (_, i) => i).find(
        (i) => !this.validate!(bytes.subarray(bounds[2 * i]!, i + 1 < count ? bounds[2 * i + 2]! : to)),
      )
      return sheetProblems.wrongEncoding(this.line, (wrong ?? 0) + 1, this.format.encoding)
    }
    // Only now: a row that is not whole yet is read again from its beginning.
    if (this.doubled.length > 0) this.makeSingle(bytes)
    return this.taker.row(bytes, bounds, count, this.line)
  }

  /** Asked for where there are some: to empty a list, even an empty one, takes as long as to read a cell. */
  private makeSingle(bytes: Uint8Array): void {
    for (const { cell, end } of this.doubled) compact(bytes, this.bounds[2 * cell]!, end)
    this.doubled.length = 0
  }

  /** Finds the closing quote; `to` is where the text ends once its doubled quotes are single. */
  private readQuoted(bytes: Uint8Array, open: number): void {
    const { classes } = this
    const { length } = bytes
    let at = open + 1
    let doubled = 0
    let lines = 0
    let hasWide = false
    for (; at < length; at += 1) {
      const byte = bytes[at]!
      const kind = classes[byte]
      if (kind === PLAIN) continue
      if (byte === QUOTE) {
        if (bytes[at + 1] !== QUOTE) break
        at += 1
        doubled += 1
      } else if (byte === LINE_FEED || (byte === CARRIAGE_RETURN && bytes[at + 1] !== LINE_FEED)) {
        lines += 1
      } else if (kind === WIDE) {
        hasWide = true
      }
    }
    const { quoted } = this
    quoted.end = at >= length ? -1 : at
    quoted.from = open + 1
    quoted.to = at - doubled
    quoted.lines = lines
    quoted.hasWide = hasWide
  }

  private trimmed(bytes: Uint8Array, from: number, to: number): void {
    let [start, end] = [from, to]
    while (start < end && bytes[start] === SPACE) start += 1
    while (end > start && bytes[end - 1] === SPACE) end -= 1
    this.bound(start, end)
  }

  private bound(start: number, end: number): void {
    if (2 * this.count + 1 >= this.bounds.length) {
      const larger = new Int32Array(this.bounds.length * 2)
      larger.set(this.bounds)
      this.bounds = larger
    }
    this.bounds[2 * this.count] = start
    this.bounds[2 * this.count + 1] = end
    this.count += 1
  }
}

/** What a byte is to the reader: part of a cell, part of a character beyond ASCII, or something to look at. */
function classesFor(separator: number): Uint8Array {
  return Uint8Array.from({ length: 256 }, (_, byte) => {
    if (byte >= 0x80) return WIDE
    const isText = byte >= SPACE || byte === TAB
    return isText && byte !== QUOTE && byte !== separator ? PLAIN : SPECIAL
  })
}

function isUtf8(bytes: Uint8Array): boolean {
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes)
    return true
  } catch {
    return false
  }
}
