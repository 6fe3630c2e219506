import type { IntervalSides } from '../inference/interval'
import type { ShareInterval } from '../inference/shareInterval'
import type { TwoSidedRule } from '../inference/shareExact'

export const INTERVAL_NAMES: Readonly<Record<'auto' | ShareInterval, string>> = {
  auto: 'the usual method',
  wilson: 'Wilson',
  'wilson-corrected': 'Wilson, corrected for continuity',
  'clopper-pearson': 'Clopper and Pearson',
  'agresti-coull': 'Agresti and Coull',
  jeffreys: 'Jeffreys',
  wald: 'Wald (only to check a hand calculation)',
}

export const SIDES_WORDS: Readonly<Record<'auto' | IntervalSides, string>> = {
  auto: 'both ends',
  'two-sided': 'both ends, stated',
  lower: 'lower bound only',
  upper: 'upper bound only',
}

export const TWO_SIDED_WORDS: Readonly<Record<'auto' | TwoSidedRule, string>> = {
  auto: 'the usual rule',
  'minimum-likelihood': 'likelihood',
  doubled: 'doubling the smaller tail',
}
