import type { Condition, ConditionState } from '@/claims/terms/condition'
import type { SampleDraft } from '@/desk/sampleDraft'
import { formatCount, formatFull, formatPercent, formatPValue } from '../figures'
import type { FigureLine } from './testLines'

export const CONDITION_NAMES: Readonly<Record<Condition['name'], string>> = {
  'random-sample': 'Random sample',
  independence: 'Independence',
  'share-of-lot': 'Share of the lot',
  order: 'Order',
  normality: 'Normality',
  symmetry: 'Symmetry',
  'equal-readings': 'Equal readings',
  outliers: 'Outliers',
  'expected-counts': 'Expected counts',
  dispersion: 'Single events',
  resolution: 'Resolution',
  calibration: 'Calibration',
}

export const CONDITION_STATES: Readonly<Record<ConditionState, string>> = {
  met: 'Met',
  'no-sign': 'No sign against',
  doubtful: 'In doubt',
  'not-met': 'Not met',
  unknown: 'Not known',
}

/** What is known only from somebody's word is not "met": it is stated. */
export const STATED: ReadonlySet<string> = new Set(['random-stated', 'independent-stated', 'clusters-enough'])

export function conditionStateWords({
  code,
  state,
}: Readonly<{ code: string; state: ConditionState }>): string {
  return STATED.has(code) ? 'Stated, not checked' : CONDITION_STATES[state]
}

/** What each figure of a condition is called. */
export const CONDITION_FIGURES: Readonly<Record<string, string>> = {
  n: 'sample size',
  groups: 'clusters or layers',
  lotSize: 'size of the lot',
  share: 'share of the lot',
  runs: 'runs',
  z: 'z',
  p: 'p-value',
  lag1: 'lag-1 autocorrelation',
  skewness: 'skewness',
  excessKurtosis: 'excess kurtosis',
  standardError: 'its standard error',
  level: 'risk as seen',
  farLevel: 'risk at the far end',
  stated: 'risk stated',
  bound: 'bound of chance',
  effectiveN: 'independent readings it is worth',
  setAside: 'set aside first',
  equal: 'equal to the claimed value',
  outliers: 'outliers',
  beyondFences: 'beyond the fences',
  g: 'Grubbs’ G',
  least: 'fewest expected of either kind',
  needed: 'wanted at least',
  expected: 'events expected',
  stretches: 'stretches',
  dispersion: 'dispersion',
  df: 'degrees of freedom',
  resolution: 'step of the instrument',
  days: 'days',
  standardDeviation: 'standard deviation',
}

/** Of which of two samples a condition speaks. */
export const SOURCE_WORDS = { first: 'first source', second: 'second source' } as const

/** What the level of most conditions is: common practice, no source. */
const TOLD_AT = 0.05

/** The figures that a condition is told by. A p-value is not rounded onto the level that it is told at. */
export function conditionLines(
  { figures }: Readonly<{ figures: Readonly<Record<string, number>> }>,
  plain: (value: number) => string,
): readonly FigureLine[] {
  return Object.entries(figures).map(([key, value]) => ({
    name: CONDITION_FIGURES[key] ?? key,
    shown: shownFigure(key, value, plain),
    full: formatFull(value),
  }))
}

const SHARES: ReadonlySet<string> = new Set(['share', 'level', 'farLevel', 'stated'])

function shownFigure(key: string, value: number, plain: (value: number) => string): string {
  if (key === 'p') return formatPValue(value, TOLD_AT)
  if (SHARES.has(key)) return formatPercent(Number(value.toPrecision(3)))
  return Number.isInteger(value) && value >= 0 ? formatCount(value) : plain(value)
}

/** The conditions that are not met, or not known to be: "Normality (in doubt), Order, second source (not met)". */
export function openConditions(conditions: readonly Pick<Condition, 'name' | 'state' | 'of'>[]): string {
  return conditions
    .filter(({ state }) => state !== 'met' && state !== 'no-sign')
    .map(({ name, state, of }) => {
      const source = of ? `, ${SOURCE_WORDS[of]}` : ''
      return `${CONDITION_NAMES[name]}${source} (${CONDITION_STATES[state].toLowerCase()})`
    })
    .join(', ')
}

/** What only a person can say of a sample and nobody has said. */
export function unanswered(
  { drawnAtRandom, takenIndependently }: Pick<SampleDraft, 'drawnAtRandom' | 'takenIndependently'>,
  of?: keyof typeof SOURCE_WORDS,
): readonly string[] {
  const source = of ? ` (${SOURCE_WORDS[of]})` : ''
  return [
    ...(drawnAtRandom === 'unknown' ? [`Was the sample drawn at random${source}?`] : []),
    ...(takenIndependently === 'unknown' ? [`Were the units taken one by one, or in groups${source}?`] : []),
  ]
}
