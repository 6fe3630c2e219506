import { failure, type Outcome, success } from '@/core/outcome'
import { readNumber } from './number'

const COMPARISONS = {
  '=': (order: number) => order === 0,
  '!=': (order: number) => order !== 0,
  '<': (order: number) => order < 0,
  '<=': (order: number) => order <= 0,
  '>': (order: number) => order > 0,
  '>=': (order: number) => order >= 0,
} as const

/** A condition on one column, for cells that are numbers and for cells that are texts. A missing cell is an empty text. */
export type RowCondition = Readonly<{
  column: string
  holdsNumber: (value: number) => boolean
  holdsText: (text: string) => boolean
}>

const CONDITION = /^(.+?)\s*(<=|>=|!=|=|<|>)\s*(.*)$/
const AND = /\s+and\s+/i

/**
 * Reads conditions on columns: "depot = 7", "depot = 7 and mass > 10". Numbers are compared as numbers; other texts are
 * only equal or not.
 *
 * @returns the conditions, all of which a row has to meet, or the problem `condition-not-read`
 */
export function readRowConditions(text: string): Outcome<readonly RowCondition[]> {
  const conditions: RowCondition[] = []
  for (const part of text.trim().split(AND)) {
    const [, column, sign, value] = CONDITION.exec(part) ?? []
    const wanted = value === undefined ? undefined : readNumber(value, 'point')
    const isReadable = wanted && (wanted.ok || sign === '=' || sign === '!=')
    if (!isReadable) {
      return failure({
        code: 'condition-not-read',
        path: 'where',
        message: `The condition “${part}” cannot be read. Write a column, one of =, !=, <, <=, >, >= and a value (a number for all but the first two): depot = 7.`,
      })
    }
    const number = wanted.ok ? wanted.value : undefined
    conditions.push(conditionOf(column!.trim(), sign as keyof typeof COMPARISONS, value!, number))
  }
  return success(conditions)
}

function conditionOf(
  column: string,
  sign: keyof typeof COMPARISONS,
  value: string,
  wanted: number | undefined,
): RowCondition {
  const compare = COMPARISONS[sign]
  const holdsNumber = (seen: number) =>
    wanted === undefined || Number.isNaN(seen) ? sign === '!=' : compare(seen - wanted)
  const holdsText = (seen: string) => {
    const reading = wanted === undefined ? undefined : readNumber(seen, 'point')
    if (reading?.ok) return holdsNumber(reading.value)
    if (sign === '=') return seen === value
    return sign === '!=' && seen !== value
  }
  return { column, holdsNumber, holdsText }
}
