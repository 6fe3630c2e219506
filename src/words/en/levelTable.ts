import { methodOf } from '@/claims/all'
import type { CheckResult } from '@/claims/result'
import { partsOf } from '@/claims/testParts'
import { formatPercent, formatPValue } from '../figures'
import type { Formats } from '../formats'
import { intervalWords } from './claimLineWords'
import { OUTCOME_WORDS } from './findingWords'

export const LEVEL_HEADS = ['Level', 'Statistic', 'Critical value', 'p-value', 'Interval', 'Finding'] as const

/** The test at its own level and at the second, a row each; none where there is no second. */
export function levelTable(result: CheckResult, formats: Formats): readonly (readonly string[])[] {
  const { test, interval, finding, second } = result
  if (!second) return []
  const { statistic: kind } = methodOf(test.method)
  const isEstimate = kind === 'estimate'
  const shown = (value: number) =>
    isEstimate
      ? formats.inUnit(value)
      : kind === 'count' && Number.isInteger(value)
        ? String(value)
        : formats.plain(value)
  const list = (values: readonly number[]) => (values.length === 0 ? 'none' : values.map(shown).join(' and '))
  const statistics = list(partsOf(test).map(({ statistic }) => statistic))
  const first = { ...test, interval, outcome: finding.outcome }
  return [first, second].map((at) => [
    formatPercent(at.significanceLevel),
    statistics,
    list(isEstimate ? at.criticalEstimates : at.criticalValues),
    formatPValue(test.pValue, at.significanceLevel),
    at.interval ? intervalWords(at.interval, formats.display) : 'none',
    OUTCOME_WORDS[at.outcome],
  ])
}

export const LEVELS_NOTE = 'The finding is made at the first level; the second is read beside it.'
