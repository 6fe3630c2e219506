import { failure, type Outcome, success } from '@/core/outcome'
import { readNumber } from './number'

/** Whether a row of named cells is kept. */
export type RowCondition = Readonly<{ column: string; holds: (cell: string) => boolean }>

const COMPARISONS: Readonly<Record<string, (order: number) => boolean>> = {
  '=': (order) => order === 0,
  '!=': (order) => order !== 0,
  '<': (order) => order < 0,
  '<=': (order) => order <= 0,
  '>': (order) => order > 0,
  '>=': (order) => order >= 0,
}
const CONDITION = /^(.+?)\s*(<=|>=|!=|=|<|>)\s*(.*)$/
const AND = /\s+and\s+/i

/**
 * Reads conditions on columns: "depot = 7", "depot = 7 and mass > 10". Two numbers are compared as numbers, other cells as
 * texts, which are only equal or not.
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
    conditions.push({ column: column!.trim(), holds: (cell) => compare(cell, sign!, value!, wanted) })
  }
  return success(conditions)
}

function compare(cell: string, sign: string, value: string, wanted: ReturnType<typeof readNumber>): boolean {
  const seen = readNumber(cell, 'point')
  if (wanted.ok && seen.ok) return COMPARISONS[sign]!(seen.value - wanted.value)
  if (sign === '=') return cell.trim() === value
  return sign === '!=' && cell.trim() !== value
}
