import type { Claim, Parameter, Relation } from '@/claims/claim'
import { failure, type Outcome, success } from '@/claims/outcome'
import { readNumber } from './number'

const PARAMETER_WORDS: Readonly<Record<string, Parameter>> = {
  mean: 'mean',
  average: 'mean',
  'standard deviation': 'standard-deviation',
  variance: 'variance',
  share: 'proportion',
  proportion: 'proportion',
  median: 'median',
}

const RELATION_WORDS: Readonly<Record<string, Relation>> = {
  'at least': 'at-least',
  'at most': 'at-most',
  'more than': 'more-than',
  'less than': 'less-than',
  'equal to': 'equal-to',
  'different from': 'different-from',
}

const either = (words: Readonly<Record<string, string>>) => Object.keys(words).join('|')
const NUMBER = '[+-]?[\\d.]+(?:e[+-]?\\d+)?'
const POINT = new RegExp(
  `^(${either(PARAMETER_WORDS)})\\s+(${either(RELATION_WORDS)})\\s+(${NUMBER})\\s*(.*)$`,
  'i',
)
const RANGE = new RegExp(
  `^(${either(PARAMETER_WORDS)})\\s+within\\s+(${NUMBER})\\s+to\\s+(${NUMBER})\\s*(.*)$`,
  'i',
)

/**
 * Reads a claim written as a phrase: "mean at least 15 kg", "share at least 95 %", "median within 9.5 to 10.5 mm".
 *
 * @returns the claim, or the problem `claim-not-read`
 */
export function readClaimText(text: string): Outcome<Claim> {
  const plain = text.trim().replace(/\s+/g, ' ')
  const point = POINT.exec(plain)
  if (point)
    return claimOf(plain, { parameter: point[1]!, relation: point[2]!, values: [point[3]!], unit: point[4]! })
  const range = RANGE.exec(plain)
  if (range) return claimOf(plain, { parameter: range[1]!, values: [range[2]!, range[3]!], unit: range[4]! })
  return failure(notRead(plain))
}

function claimOf(
  text: string,
  words: Readonly<{ parameter: string; relation?: string; values: readonly string[]; unit: string }>,
): Outcome<Claim> {
  const isPercent = words.unit === '%'
  const readings = words.values.map((value) => readNumber(value, 'point'))
  const [first, second] = readings.map((reading) =>
    reading.ok ? reading.value / (isPercent ? 100 : 1) : Number.NaN,
  )
  const parameter = PARAMETER_WORDS[words.parameter.toLowerCase()]!
  if (Number.isNaN(first) || Number.isNaN(second) || (isPercent && parameter !== 'proportion')) {
    return failure(notRead(text))
  }
  const unit = words.unit === '' || isPercent ? {} : { unit: words.unit }
  if (words.relation !== undefined) {
    return success({
      parameter,
      relation: RELATION_WORDS[words.relation.toLowerCase()]!,
      value: first!,
      ...unit,
    })
  }
  if (second! < first!) return failure(notRead(text))
  const value = first! / 2 + second! / 2
  const tolerance = { below: value - first!, above: second! - value }
  return success({ parameter, relation: 'within', value, tolerance, ...unit })
}

function notRead(text: string) {
  return {
    code: 'claim-not-read',
    path: 'claim',
    message: `The claim “${text}” cannot be read. Write a parameter (mean, standard deviation, variance, share, median), a relation (at least, at most, more than, less than, equal to, different from, within … to …), a value and a unit: mean at least 15 kg.`,
  }
}
