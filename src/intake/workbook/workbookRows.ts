import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { MAX_WORKBOOK } from './workbookProblems'
import { workbookProblems } from './workbookProblems'

/** What of a sheet a person has to know who sees only its values. */
export type WorkbookNotes = Readonly<{
  /** Cells whose values were computed, the first of them with their formulas. */
  formulas: Readonly<{ count: number; examples: readonly string[] }>
  /** Rows that are not shown where the workbook is opened, counted from 1. */
  hiddenRows: readonly number[]
  hiddenColumns: number
  /** Ranges that are shown as one cell: only the first cell of each has their value. */
  merged: number
  isFiltered: boolean
}>

/** What a reader of one kind of workbook gives. */
export type WorkbookRows = Readonly<{
  sheets: readonly string[]
  sheet: string
  rows: Outcome<readonly (readonly string[])[]>
  notes: WorkbookNotes
}>

const MAX_EXAMPLES = 3

/** Gathers what is to be known of a sheet while it is read. */
export class NoteTaker {
  private readonly examples: string[] = []
  private formulas = 0
  private readonly hiddenRows: number[] = []
  private hiddenColumns = 0
  private merged = 0
  private isFiltered = false

  formula(cell: string, formula: string): void {
    this.formulas += 1
    if (this.examples.length < MAX_EXAMPLES && formula !== '')
      this.examples.push(`${cell}: =${formula.slice(0, 60)}`)
  }

  hiddenRow(number: number): void {
    this.hiddenRows.push(number)
  }

  hide(columns: number): void {
    this.hiddenColumns += columns
  }

  merge(): void {
    this.merged += 1
  }

  filter(): void {
    this.isFiltered = true
  }

  get notes(): WorkbookNotes {
    const { formulas: count, examples, hiddenRows, hiddenColumns, merged, isFiltered } = this
    return { formulas: { count, examples }, hiddenRows, hiddenColumns, merged, isFiltered }
  }
}

/** As many as a workbook can have. */
export const MAX_ROWS = 1_048_576
export const MAX_COLUMNS = 16_384
/** Of a table, those that are empty too: more than any file of measurements has. */
const MAX_CELLS = 30_000_000

/** Keeps rows as they are read. What a table of them comes to is counted before it is made. */
export class RowKeeper {
  private readonly kept: (readonly string[])[] = []
  /** Empty rows below those kept, which are made once a row with something in it follows. */
  private empty = 0
  private width = 0
  private characters = 0
  private problem: Problem | undefined

  /** How many rows there are so far, the empty ones below too. */
  get height(): number {
    return this.kept.length + this.empty
  }

  /** Rows that are left out in the file are empty. */
  skipTo(number: number): void {
    this.empty += Math.max(0, number - 1 - this.height)
  }

  /** @param times - how often the row stands there, one below the other */
  add(cells: readonly (string | undefined)[], times = 1): void {
    const used = cells.findLastIndex((text) => text !== undefined && text !== '') + 1
    if (used === 0) {
      this.empty += times
      return
    }
    if (this.problem) return
    const row = Array.from({ length: used }, (_, at) => cells[at] ?? '')
    const height = this.height + times
    this.width = Math.max(this.width, used)
    this.characters += times * row.reduce((sum, text) => sum + text.length, 0)
    this.problem = this.problemAt(height)
    if (this.problem) return
    for (; this.empty > 0; this.empty -= 1) this.kept.push([])
    for (let count = 0; count < times; count += 1) this.kept.push(row)
  }

  fail(problem: Problem): void {
    this.problem ??= problem
  }

  get rows(): Outcome<readonly (readonly string[])[]> {
    return this.problem ? failure(this.problem) : success(this.kept)
  }

  private problemAt(height: number): Problem | undefined {
    if (height > MAX_ROWS) return workbookProblems.tooManyRows(MAX_ROWS)
    if (this.width > MAX_COLUMNS) return workbookProblems.tooManyColumns(MAX_COLUMNS)
    if (this.width * height > MAX_CELLS)
      return workbookProblems.tooManyCells({ width: this.width, height, max: MAX_CELLS })
    return this.characters > MAX_WORKBOOK
      ? workbookProblems.tooLarge(this.characters, MAX_WORKBOOK)
      : undefined
  }
}
