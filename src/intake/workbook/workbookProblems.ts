import type { Problem } from '@/claims/terms/outcome'

const problem = (code: string, message: string): Problem => ({ code, path: 'file', message })

/** A workbook is read as a whole, in memory; so much of text at most is in it, unpacked. */
export const MAX_WORKBOOK = 256 * 1024 * 1024

/** Everything that can keep a workbook from being read. */
export const workbookProblems = {
  notWorkbook: () =>
    problem(
      'file-not-workbook',
      'The file is an archive, but no XLSX or ODS workbook. Save the sheet as one of these, or as CSV.',
    ),
  damaged: (reason: string) =>
    problem(
      'workbook-damaged',
      `The workbook is damaged: ${reason.replace(/\.$/, '')}. Open it where it was made and save it once more.`,
    ),
  tooLarge: (seen: number, max: number) =>
    problem(
      'workbook-too-large',
      `Unpacked, the workbook has ${Math.ceil(seen / 1e6)} MB; at most ${Math.ceil(max / 1e6)} MB are unpacked. Save the sheet in question as CSV.`,
    ),
  noSuchSheet: (name: string, names: readonly string[]) =>
    problem('sheet-not-found', `The workbook has no sheet “${name}”. It has: ${names.join(', ')}.`),
  emptySheet: (name: string) => problem('file-empty', `The sheet “${name}” is empty. Choose another one.`),
  formulaWithoutValue: (cell: string, sheet: string, formula: string) =>
    problem(
      'workbook-formula',
      `Cell ${cell} of the sheet “${sheet}” holds a formula${formula ? ` (${formula.slice(0, 60)})` : ''} that was never computed. Open the workbook where it was made and save it once more, or put the value in place of the formula.`,
    ),
  hiddenRowsAsked: (count: number, sheet: string) =>
    problem(
      'hidden-rows',
      `${count === 1 ? '1 row' : `${count} rows`} of the sheet “${sheet}” ${count === 1 ? 'is' : 'are'} hidden. Say whether they are to be taken or left out.`,
    ),
  errorCell: (cell: string, sheet: string, seen: string) =>
    problem(
      'workbook-error',
      `Cell ${cell} of the sheet “${sheet}” shows the error ${seen}. Correct it, or leave it empty.`,
    ),
  tooManyColumns: (max: number) =>
    problem(
      'workbook-too-large',
      `The sheet has cells beyond its column ${max}, the last that a workbook can have. Leave out those that are not in question.`,
    ),
  tooManyCells: ({ width, height, max }: Readonly<{ width: number; height: number; max: number }>) =>
    problem(
      'workbook-too-large',
      `The sheet is ${width} columns wide and at least ${height} rows long, which makes ${width * height} cells; at most ${max} are read. Often one cell stands far out by mistake: clear it, or save the table in question as CSV.`,
    ),
  twice: (what: string) =>
    problem(
      'workbook-damaged',
      `The workbook is damaged: ${what} stands in it twice, or out of its order. Open it where it was made and save it once more.`,
    ),
  tooManyRows: (max: number) =>
    problem(
      'workbook-too-large',
      `The sheet has more than ${max} rows. Leave out those that are not in question.`,
    ),
} as const
