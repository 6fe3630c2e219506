import type { Outcome } from '@/claims/terms/outcome'

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
