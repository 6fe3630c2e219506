import * as z from 'zod/mini'
import { parse } from 'papaparse'
import { type Relation, RELATIONS } from '@/claims/terms/relations'
import { type ClaimWithoutSample, claimDraftSchema, EMPTY_CLAIM } from '@/desk/claimDraft'
import type { DecimalMark } from '@/desk/typed'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { RELATION_WORDS } from '@/words/en/relations'
import { relationIn } from '../wordingRelation'
import { matchColumn, type NamedColumn } from './matchColumn'
import { optionsIn, parameterIn } from './options'
import { problem } from './problem'
import { valuesIn } from './values'

/** More characteristics than any specification has, and a longer table than anybody writes. */
const [MAX_ROWS, MAX_LENGTH] = [2000, 2_000_000]

/** The columns of a specification, each with other names that it may have. */
const HEADS = {
  characteristic: ['characteristic', 'quantity', 'property', 'feature', 'item', 'what is specified'],
  parameter: ['parameter', 'figure', 'statistic'],
  relation: ['relation', 'requirement', 'comparison', 'condition'],
  value: ['value', 'nominal', 'target', 'limit', 'claimed value', 'specified value'],
  tolerance: ['tolerance', 'tol', 'tol.', '+/-', '±'],
  unit: ['unit', 'units'],
  column: ['column', 'sheet column'],
  level: ['level', 'significance level', 'alpha', 'α'],
  method: ['method', 'test'],
  burden: ['burden'],
  wording: ['wording', 'in its own words'],
} as const
type Head = keyof typeof HEADS
export const SPECIFICATION_HEADS = Object.keys(HEADS) as readonly Head[]
const NEEDED: readonly Head[] = ['characteristic', 'value']

type Cells = Readonly<Record<Head, string>>

/** A row of a specification as a claim, or why it is none. */
export type SpecificationRow = Readonly<{
  /** In the table, the header being line 1. */
  line: number
  characteristic: string
}> &
  (
    | Readonly<{
        ok: true
        claim: ClaimWithoutSample
        /** How the column of the readings was found: as stated, by its name, by a guess; or not. */
        matched: 'stated' | 'named' | 'guessed' | 'none'
      }>
    | Readonly<{ ok: false; problem: Problem }>
  )

export type Specification = Readonly<{
  rows: readonly SpecificationRow[]
  /** Columns of the table that nothing is made of. */
  unused: readonly string[]
  /** How its numbers are read. */
  decimalMark: DecimalMark
}>

/**
 * Reads a specification written as a table, pasted or as the text of a CSV file: a claim for each row. A row that can't be read is
 * told of by its line, and the rest goes on.
 *
 * @param columns - of the sample that it is to be held against
 * @param stated - how its numbers are written, where that is not to be guessed
 * @returns the rows, or the problem `empty`, `too-long` or `head-missing` of the whole table
 */
export function readSpecification(
  text: string,
  columns: readonly NamedColumn[],
  stated?: DecimalMark,
): Outcome<Specification> {
  if (text.length > MAX_LENGTH) return failure(tooLong())
  const { data } = parse<string[]>(text.replace(/^\ufeff/, ''), { skipEmptyLines: false })
  const lines = data
    .map((cells, at) => ({ line: at + 1, cells: cells.map((cell) => plainCell(cell.trim())) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''))
  const [head, ...body] = lines
  if (!head)
    return failure(problem('empty', 'The table is empty. Paste it with its header, or choose a file.'))
  if (body.length > MAX_ROWS) return failure(tooLong())
  const places = placesOf(head.cells)
  const missing = NEEDED.find((name) => !places.has(name))
  if (missing !== undefined) return failure(headMissing(missing, head.cells))
  const twice = head.cells.find((cell, at) => headOf(cell) !== undefined && places.get(headOf(cell)!) !== at)
  if (twice !== undefined)
    return failure(
      problem(
        'head-twice',
        `Two columns of the table are a “${headOf(twice)}”: “${twice}” is the second. Keep one.`,
      ),
    )
  const cellsOf = (cells: readonly string[]) =>
    Object.fromEntries(
      SPECIFICATION_HEADS.map((name) => [name, cells[places.get(name) ?? -1] ?? '']),
    ) as Cells
  const decimalMark = stated ?? markOf(body.map(({ cells }) => cellsOf(cells)))
  const known = new Map<string, number>()
  const rows = body.map(({ line, cells }): SpecificationRow => {
    const own = cellsOf(cells)
    const { characteristic } = own
    const refuse = (why: Problem): SpecificationRow => ({ line, characteristic, ok: false, problem: why })
    const surplus = cells.slice(head.cells.length).find((cell) => cell !== '')
    if (surplus !== undefined) return refuse(tooManyCells(surplus))
    const key = JSON.stringify([
      own.characteristic,
      own.parameter,
      own.relation,
      own.value,
      own.tolerance,
      own.unit,
      own.column,
    ])
    const before = known.get(key)
    if (before !== undefined)
      return refuse(problem('twice', `It says the same as line ${before}, and is taken once.`))
    known.set(key, line)
    const read = rowOf(own, decimalMark, columns)
    if (!read.ok) return refuse(read.problem)
    const kept = KEPT.safeParse(read.value.claim)
    if (!kept.success) return refuse(notKept(String(kept.error.issues[0]?.path[0])))
    return { line, characteristic, ok: true, ...read.value }
  })
  const unused = head.cells.filter((cell) => cell !== '' && headOf(cell) === undefined)
  return success({ rows, unused, decimalMark })
}

/** Without the apostrophe that keeps a spreadsheet from running it. */
const plainCell = (cell: string) => cell.replace(/^'(?='*[=+\-@])/, '')

const plain = (text: string) => text.toLowerCase().replace(/\s+/g, ' ').trim()

function headOf(cell: string): Head | undefined {
  return SPECIFICATION_HEADS.find((name) => (HEADS[name] as readonly string[]).includes(plain(cell)))
}

function placesOf(cells: readonly string[]): ReadonlyMap<Head, number> {
  const places = new Map<Head, number>()
  for (const [at, cell] of cells.entries()) {
    const head = headOf(cell)
    if (head !== undefined && !places.has(head)) places.set(head, at)
  }
  return places
}

/** A comma is the decimal mark where one stands in a number and no point does. */
function markOf(rows: readonly Cells[]): DecimalMark {
  const texts = rows.flatMap(({ value, tolerance, level }) => [value, tolerance, level])
  const has = (mark: string) => texts.some((text) => new RegExp(`\\d\\${mark}\\d`).test(text))
  return has(',') && !has('.') ? 'comma' : 'point'
}

type Read = Pick<Extract<SpecificationRow, { ok: true }>, 'claim' | 'matched'>

function rowOf(cells: Cells, mark: DecimalMark, columns: readonly NamedColumn[]): Outcome<Read> {
  if (cells.characteristic === '')
    return failure(problem('missing', 'It names no characteristic. Write what is specified.'))
  const parameter = parameterIn(cells.parameter)
  if (!parameter.ok) return parameter
  const values = valuesIn(cells, mark)
  if (!values.ok) return values
  const relation = relationOfRow(cells, values.value.isRange || values.value.tolerance !== undefined)
  if (!relation.ok) return relation
  const options = optionsIn(cells, mark)
  if (!options.ok) return options
  const matched = matchColumn(cells, columns)
  if (!matched.ok) return matched
  const { value, tolerance, unit } = values.value
  return success({
    matched: matched.value.how,
    claim: {
      ...EMPTY_CLAIM,
      ...parameter.value,
      source: 'data sheet',
      wording: cells.wording,
      quantity: cells.characteristic,
      relation: relation.value,
      claimedValue: value,
      ...(tolerance ? { toleranceBelow: tolerance[0], toleranceAbove: tolerance[1] } : {}),
      unit: cells.unit || unit,
      column: matched.value.column,
      decimalMark: mark,
      ...options.value,
    },
  })
}

const SIGNS: ReadonlyMap<string, Relation> = new Map(
  Object.entries({
    ...{ '≥': 'at-least', '>=': 'at-least', min: 'at-least', 'min.': 'at-least', minimum: 'at-least' },
    ...{ '≤': 'at-most', '<=': 'at-most', max: 'at-most', 'max.': 'at-most', maximum: 'at-most' },
    ...{ '>': 'more-than', '<': 'less-than', '=': 'equal-to', '≠': 'different-from', '<>': 'different-from' },
    ...{ '±': 'within', between: 'within' },
    ...Object.fromEntries(RELATIONS.map((name) => [RELATION_WORDS[name], name])),
  } as const satisfies Readonly<Record<string, Relation>>),
)

function relationOfRow({ relation, tolerance }: Cells, isRange: boolean): Outcome<Relation> {
  const seen = plain(relation)
  if (seen === '') {
    if (isRange || tolerance !== '') return success('within')
    return failure(
      problem('relation', 'It says no relation. Write at least, at most, equal to, within, or their signs.'),
    )
  }
  const found = SIGNS.get(seen) ?? relationIn(`${relation} 1`).is
  if (!found) {
    const words = RELATIONS.map((name) => RELATION_WORDS[name])
    return failure(
      problem('relation', `“${relation}” is no relation that is known. Write one of: ${words.join(', ')}.`),
    )
  }
  if (isRange && found !== 'within' && tolerance === '')
    return failure(
      problem(
        'value',
        `The value is a range, and the relation “${relation}” needs one value. Write within, or one value.`,
      ),
    )
  return success(found)
}

const tooManyCells = (cell: string) =>
  problem(
    'cells',
    `It has more cells than the header, with “${cell.slice(0, 40)}” in one of them: a decimal comma may have been taken for the mark between cells. Put such numbers in quotes, or use semicolons or tabs between cells.`,
  )

const KEPT = z.omit(claimDraftSchema, { sampleId: true })

const notKept = (field: string) =>
  problem(
    field,
    'A cell of it is longer than the 500 characters that a claim keeps, or holds signs that are no text. Shorten it.',
  )

const tooLong = () =>
  problem('table', `The table is longer than ${MAX_ROWS.toLocaleString('en')} rows. Bring it in by parts.`)

function headMissing(name: Head, seen: readonly string[]): Problem {
  return problem(
    'head',
    `The table has no column “${name}”. Its header is ${seen.map((cell) => `“${cell}”`).join(', ')}; the columns are ${SPECIFICATION_HEADS.join(', ')}, of which ${NEEDED.join(' and ')} are needed.`,
  )
}
