import { parse } from 'papaparse'
import { METHODS, PARAMETERS } from '@/claims/terms/names'
import { BURDENS, type Relation, RELATIONS } from '@/claims/terms/relations'
import { numberOf, quotientOf, rational, sumOf } from '@/statistics/numeric/rational'
import { type ClaimWithoutSample, EMPTY_CLAIM } from '@/desk/claimDraft'
import type { DecimalMark } from '@/desk/typed'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { METHOD_WORDS } from '@/words/en/methods'
import { PARAMETER_WORDS } from '@/words/en/parameters'
import { BURDEN_WORDS, RELATION_WORDS } from '@/words/en/relations'
import { readNumber } from '../reading/number'
import { relationIn } from '../wordingRelation'
import { matchColumn, type NamedColumn } from './matchColumn'

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
    return read.ok ? { line, characteristic, ok: true, ...read.value } : refuse(read.problem)
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

function parameterIn(text: string): Outcome<Pick<ClaimWithoutSample, 'parameter' | 'control'>> {
  const seen = plain(text)
  if (seen === '') return success({ parameter: 'mean', control: 'none' })
  if (seen === 'net content') return success({ parameter: 'mean', control: 'net-content' })
  const found = PARAMETERS.find(
    (name) =>
      name === seen || PARAMETER_WORDS[name].noun === seen || PARAMETER_WORDS[name].names.includes(seen),
  )
  if (found) return success({ parameter: found, control: 'none' })
  const names = [...PARAMETERS.map((name) => PARAMETER_WORDS[name].noun), 'net content']
  return failure(problem('parameter', `“${text}” is no parameter. Write one of: ${names.join(', ')}.`))
}

const SIGNS: Readonly<Record<string, Relation>> = {
  ...{ '≥': 'at-least', '>=': 'at-least', min: 'at-least', 'min.': 'at-least', minimum: 'at-least' },
  ...{ '≤': 'at-most', '<=': 'at-most', max: 'at-most', 'max.': 'at-most', maximum: 'at-most' },
  ...{ '>': 'more-than', '<': 'less-than', '=': 'equal-to', '≠': 'different-from', '<>': 'different-from' },
  ...{ '±': 'within', between: 'within' },
  ...Object.fromEntries(RELATIONS.map((name) => [RELATION_WORDS[name], name])),
}

function relationOfRow({ relation, tolerance }: Cells, isRange: boolean): Outcome<Relation> {
  const seen = plain(relation)
  if (seen === '') {
    if (isRange || tolerance !== '') return success('within')
    return failure(
      problem('relation', 'It says no relation. Write at least, at most, equal to, within, or their signs.'),
    )
  }
  const found = SIGNS[seen] ?? relationIn(`${relation} 1`).is
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

type Values = Readonly<{
  value: string
  tolerance?: readonly [string, string]
  isRange: boolean
  unit: string
}>

const RANGE = /^([+-]?[\d.,]+)\s*(?:to|\.\.\.?|…|–|—|-)\s*([+-]?[\d.,]+)\s*(\D*)$/i
const WITH_UNIT = /^([+\-−]?\s*[\d.,]+(?:e[+-]?\d+)?)\s*(%|[^\d.,\s][^\d]*)?$/i

/** The value with its tolerance, as texts; a range becomes its middle and half its width, as the decimals written. */
function valuesIn({ value: text, tolerance }: Cells, mark: DecimalMark): Outcome<Values> {
  if (text === '') return failure(problem('missing', 'It states no value.'))
  const [, from, to, rangeUnit = ''] = RANGE.exec(text) ?? []
  if (from !== undefined && to !== undefined) {
    const ends = [from, to].map((end) => readNumber(end, mark))
    if (!ends.every((end) => end.ok)) return failure(notANumber('value', text))
    const [low, high] = ends.map((end) => rational((end as { value: number }).value)) as [
      ReturnType<typeof rational>,
      ReturnType<typeof rational>,
    ]
    const half = (sign: 1 | -1) =>
      numberOf(quotientOf(sumOf(high, sign === 1 ? low : { ...low, over: -low.over }), rational(2)))
    if (half(-1) < 0) return failure(problem('value', `“${text}” ends below where it begins. Turn it round.`))
    const written = (number: number) => String(number).replace('.', mark === 'comma' ? ',' : '.')
    if (tolerance !== '')
      return failure(problem('tolerance', `The value “${text}” is a range already. Leave the tolerance out.`))
    return success({
      value: written(half(1)),
      tolerance: [written(half(-1)), written(half(-1))],
      isRange: true,
      unit: rangeUnit.trim(),
    })
  }
  const [, figure = '', unit = ''] = WITH_UNIT.exec(text) ?? []
  const number = figure.replace(/\s/g, '')
  if (!readNumber(number, mark).ok) return failure(notANumber('value', text))
  const isPercent = unit.trim() === '%'
  const read = toleranceIn(tolerance, mark)
  if (!read.ok) return read
  return success({
    value: isPercent ? `${number} %` : number,
    ...(read.value ? { tolerance: read.value } : {}),
    isRange: false,
    unit: isPercent ? '' : unit.trim(),
  })
}

const BOTH = /^(?:±|\+\/-|\+-)?\s*([\d.,]+)$/
const UP_DOWN = /^\+\s*([\d.,]+)\s*[/;\s]\s*[-−]\s*([\d.,]+)$/
const DOWN_UP = /^[-−]\s*([\d.,]+)\s*[/;\s]\s*\+\s*([\d.,]+)$/

function toleranceIn(text: string, mark: DecimalMark): Outcome<readonly [string, string] | undefined> {
  if (text === '') return success(undefined)
  const [both, upDown, downUp] = [BOTH, UP_DOWN, DOWN_UP].map((pattern) => pattern.exec(text))
  const pair = both
    ? [both[1]!, both[1]!]
    : upDown
      ? [upDown[2]!, upDown[1]!]
      : downUp
        ? [downUp[1]!, downUp[2]!]
        : []
  const [below, above] = pair
  if (below === undefined || above === undefined || ![below, above].every((one) => readNumber(one, mark).ok))
    return failure(
      problem(
        'tolerance',
        `“${text}” is no tolerance. Write it in the unit of the value, such as 0.5, ±0.5 or +0.3/-0.2.`,
      ),
    )
  return success([below, above])
}

type Options = Partial<Pick<ClaimWithoutSample, 'significanceLevel' | 'method' | 'burden'>>

function optionsIn({ level, method, burden }: Cells, mark: DecimalMark): Outcome<Options> {
  const options: { -readonly [K in keyof Options]: Options[K] } = {}
  if (level !== '') {
    const read = readNumber(level.replace('%', '').trim(), mark)
    const value = read.ok ? read.value / (level.includes('%') ? 100 : 1) : Number.NaN
    if (!(value > 0 && value < 1))
      return failure(problem('level', `“${level}” is no level. Write one such as 0.05 or 5 %.`))
    options.significanceLevel = level.includes('%')
      ? String(numberOf(quotientOf(rational((read as { value: number }).value), rational(100))))
      : level
    if (mark === 'comma') options.significanceLevel = options.significanceLevel.replace('.', ',')
  }
  if (method !== '' && plain(method) !== 'auto') {
    const found = METHODS.find(
      (name) => name === plain(method) || METHOD_WORDS[name].name.toLowerCase() === plain(method),
    )
    if (!found)
      return failure(
        problem('method', `“${method}” is no method. Write one of: auto, ${METHODS.join(', ')}.`),
      )
    options.method = found
  }
  if (burden !== '') {
    const found = BURDENS.find((name) => name === plain(burden) || BURDEN_WORDS[name] === plain(burden))
    if (!found)
      return failure(
        problem(
          'burden',
          `“${burden}” is no burden. Write “${BURDEN_WORDS.challenge}” or “${BURDEN_WORDS.substantiate}”.`,
        ),
      )
    options.burden = found
  }
  return success(options)
}

const problem = (path: string, message: string): Problem => ({ code: 'specification', path, message })

const notANumber = (path: string, text: string) =>
  problem(
    path,
    `“${text.slice(0, 60)}” is no value that can be read. Write a number, such as 14.8, or a range, such as 14.5 to 15.5.`,
  )

const tooManyCells = (cell: string) =>
  problem(
    'cells',
    `It has more cells than the header, with “${cell.slice(0, 40)}” in one of them: a decimal comma may have been taken for the mark between cells. Put such numbers in quotes, or use semicolons or tabs between cells.`,
  )

const tooLong = () =>
  problem('table', `The table is longer than ${MAX_ROWS.toLocaleString('en')} rows. Bring it in by parts.`)

function headMissing(name: Head, seen: readonly string[]): Problem {
  return problem(
    'head',
    `The table has no column “${name}”. Its header is ${seen.map((cell) => `“${cell}”`).join(', ')}; the columns are ${SPECIFICATION_HEADS.join(', ')}, of which ${NEEDED.join(' and ')} are needed.`,
  )
}
