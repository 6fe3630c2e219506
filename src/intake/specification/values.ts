import { numberOf, quotientOf, rational, sumOf } from '@/statistics/numeric/rational'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import type { DecimalMark } from '@/desk/typed'
import { readNumber } from '../reading/number'
import { problem } from './problem'

type Cells = Readonly<{ value: string; tolerance: string }>

type Values = Readonly<{
  value: string
  tolerance?: readonly [string, string]
  isRange: boolean
  unit: string
}>

const RANGE = /^([+-]?[\d.,]+)\s*(?:to|\.\.\.?|…|–|—|-)\s*([+-]?[\d.,]+)\s*(\D*)$/i
const WITH_UNIT = /^([+\-−]?\s*[\d.,]+(?:e[+-]?\d+)?)\s*(%|[^\d.,\s][^\d]*)?$/i

/** The value with its tolerance, as texts; a range becomes its middle and half its width, as the decimals written. */
export function valuesIn({ value: text, tolerance }: Cells, mark: DecimalMark): Outcome<Values> {
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

const notANumber = (path: string, text: string) =>
  problem(
    path,
    `“${text.slice(0, 60)}” is no value that can be read. Write a number, such as 14.8, or a range, such as 14.5 to 15.5.`,
  )
