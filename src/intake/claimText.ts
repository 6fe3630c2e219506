import { parameterOf } from '@/claims/all'
import { type Parameter, PARAMETERS } from '@/claims/terms/names'
import { needsTolerance, type Relation, RELATIONS } from '@/claims/terms/relations'
import { PARAMETER_WORDS } from '@/words/en/parameters'
import { RELATION_WORDS } from '@/words/en/relations'
import type { Claim } from '@/claims/terms/claim'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { beginningOf, LONGEST_PHRASE } from '@/desk/typed'
import { readNumber } from './reading/number'

/** Of a text that is no claim. */
const LONGEST_SHOWN = 100

const BY_NAME: Readonly<Record<string, Parameter>> = Object.fromEntries(
  PARAMETERS.flatMap((name) => PARAMETER_WORDS[name].names.map((words) => [words, name])),
)

/** Those that are held to the value itself. */
const BY_WORDS: Readonly<Record<string, Relation>> = Object.fromEntries(
  RELATIONS.filter((name) => !needsTolerance({ relation: name })).map((name) => [RELATION_WORDS[name], name]),
)

const NAMES = PARAMETERS.flatMap((name) => PARAMETER_WORDS[name].names.slice(0, 1))
const either = (words: Readonly<Record<string, string>>) => Object.keys(words).join('|')
const NUMBER = '[+-]?[\\d.]+(?:e[+-]?\\d+)?'
const POINT = new RegExp(`^(${either(BY_NAME)})\\s+(${either(BY_WORDS)})\\s+(${NUMBER})\\s*(.*)$`, 'i')
const RANGE = new RegExp(`^(${either(BY_NAME)})\\s+within\\s+(${NUMBER})\\s+to\\s+(${NUMBER})\\s*(.*)$`, 'i')

/**
 * Reads a claim written as a phrase: "mean at least 15 kg", "share at least 95 %", "median within 9.5 to 10.5 mm".
 *
 * @returns the claim, or the problem `claim-not-read`
 */
export function readClaimText(text: string): Outcome<Claim> {
  const plain = text.trim().replace(/\s+/g, ' ')
  if (plain.length > LONGEST_PHRASE) return failure(notRead(beginningOf(plain, LONGEST_SHOWN)))
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
  const parameter = BY_NAME[words.parameter.toLowerCase()]!
  if (Number.isNaN(first) || Number.isNaN(second) || (isPercent && parameterOf(parameter).scale !== 100)) {
    return failure(notRead(text))
  }
  const unit = words.unit === '' || isPercent ? {} : { unit: words.unit }
  if (words.relation !== undefined) {
    return success({
      parameter,
      relation: BY_WORDS[words.relation.toLowerCase()]!,
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
    message: `The claim “${text}” cannot be read. Write a parameter (${NAMES.join(', ')}), a relation (${Object.keys(BY_WORDS).join(', ')}, within … to …), a value and a unit: mean at least 15 kg.`,
  }
}
