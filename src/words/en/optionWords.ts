import type { IntervalSides } from '@/statistics/inference/interval'
import type { IntervalName } from '@/claims/terms/definition'
import type { TwoSidedRule } from '@/claims/terms/twoSidedRules'

export const INTERVAL_NAMES: Readonly<Record<'auto' | IntervalName, string>> = {
  auto: 'the usual method',
  wilson: 'Wilson',
  'wilson-corrected': 'Wilson, corrected for continuity',
  'clopper-pearson': 'Clopper and Pearson',
  'agresti-coull': 'Agresti and Coull',
  jeffreys: 'Jeffreys',
  wald: 'Wald (only to check a hand calculation)',
  garwood: 'Garwood',
  score: 'the score test inverted',
}

const ALL_INTERVALS: Readonly<Record<string, string>> = {
  ...INTERVAL_NAMES,
  f: 'F',
  'cluster-t': 't by clusters',
  'stratified-t': 't by layers',
  'normal-share': 'noncentral t',
  bonett: 'Bonett',
  'mid-p': 'mid-p test inverted',
  hypergeometric: 'hypergeometric test inverted',
  bca: 'bootstrap, bias-corrected and accelerated',
  'order-statistics': 'order statistics',
  'hodges-lehmann': 'Hodges and Lehmann',
}

/** The method of an interval, as a result names it, in words. */
export const intervalMethodWords = (method: string): string => ALL_INTERVALS[method] ?? method

export const SIDES_WORDS: Readonly<Record<IntervalSides, string>> = {
  'two-sided': 'two-sided',
  lower: 'lower bound only',
  upper: 'upper bound only',
}

export const TWO_SIDED_WORDS: Readonly<Record<'auto' | TwoSidedRule, string>> = {
  auto: 'the usual rule',
  'minimum-likelihood': 'likelihood',
  doubled: 'doubling the smaller tail',
}
