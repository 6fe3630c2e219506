import type { Outcome } from '@/claims/terms/outcome'

/** What a reader of one kind of workbook gives. */
export type WorkbookRows = Readonly<{
  sheets: readonly string[]
  sheet: string
  rows: Outcome<readonly (readonly string[])[]>
}>
