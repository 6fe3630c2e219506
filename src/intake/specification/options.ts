import { METHODS, PARAMETERS } from '@/claims/terms/names'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { BURDENS } from '@/claims/terms/relations'
import type { ClaimWithoutSample } from '@/desk/claimDraft'
import type { DecimalMark } from '@/desk/typed'
import { numberOf, quotientOf, rational } from '@/statistics/numeric/rational'
import { METHOD_WORDS } from '@/words/en/methods'
import { PARAMETER_WORDS } from '@/words/en/parameters'
import { BURDEN_WORDS } from '@/words/en/relations'
import { readNumber } from '../reading/number'
import { problem } from './problem'

type Cells = Readonly<{ level: string; method: string; burden: string }>

const plain = (text: string) => text.toLowerCase().replace(/\s+/g, ' ').trim()

/** The parameter that a cell names: the mean where it is empty. */
export function parameterIn(text: string): Outcome<Pick<ClaimWithoutSample, 'parameter' | 'control'>> {
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

type Options = Partial<Pick<ClaimWithoutSample, 'significanceLevel' | 'method' | 'burden'>>

/** The level, the method and the burden of a row, as far as they are stated. */
export function optionsIn({ level, method, burden }: Cells, mark: DecimalMark): Outcome<Options> {
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
