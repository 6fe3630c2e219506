import type { FindingOutcome } from '@/claims/finding'
import type { OfficeMark } from '@/desk/office'
import type { Drawing } from '../drawing/drawing'

/** A report as what it says, before it is a page, a file or a print: plain data, its texts in the report's language of numbers. */
export type Report = Readonly<{
  title: string
  /** By which it is known, on every page. */
  number?: string
  /** What it was made from: "as of 2026-11-05 08:00:00 UTC, entry 12 of the trail". */
  asOf: string
  /** When the case was last changed: the only time in it. */
  madeAt: Date
  /** Above its title: that of the office whose report it is, as it is when the report is made. */
  mark?: OfficeMark | undefined
  parts: readonly Part[]
}>

/** A part that stands, and can be copied, by itself. */
export type Part = Readonly<{ id: string; title: string; level: 1 | 2 | 3; blocks: readonly Block[] }>

export type Block =
  | Readonly<{ is: 'paragraph'; text: string; look?: 'finding' | 'quiet' | 'quote' }>
  | Readonly<{ is: 'list'; items: readonly string[] }>
  /** Names with what belongs to them. */
  | Readonly<{ is: 'facts'; label: string; rows: readonly (readonly [name: string, value: string])[] }>
  /** The first column names the rows; `numbers` says which columns hold figures. */
  | Readonly<{
      is: 'table'
      label: string
      heads: readonly string[]
      rows: readonly (readonly string[])[]
      numbers: readonly boolean[]
      /** Figures that are struck through. */
      struck?: readonly Struck[]
    }>
  /** The balance mark of a finding with its word. */
  | Readonly<{ is: 'outcome'; outcome: FindingOutcome | 'open'; words: string }>
  | Readonly<{ is: 'picture'; drawing: Drawing; title: string; description: string }>
  | Readonly<{ is: 'formula'; name: string; text: string; latex: string }>

/** The cell of a table, both counted from 0, whose first letters are struck through, and how many of them. */
export type Struck = Readonly<{ row: number; column: number; length: number }>

/** How many letters of each cell of a row are struck through. */
export function struckIn(struck: readonly Struck[] = []): (row: number) => readonly number[] {
  const known = new Map<number, number[]>()
  for (const { row, column, length } of struck) {
    const lengths = known.get(row) ?? []
    lengths[column] = length
    known.set(row, lengths)
  }
  return (row) => known.get(row) ?? []
}

/** What stands under a picture: its title, unless its words begin with it. */
export function captionOf({ title, description }: Readonly<{ title: string; description: string }>): string {
  return description.startsWith(`${title}:`) ? description : `${title}. ${description}`
}
