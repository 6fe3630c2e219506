import type { Condition } from '@/claims/terms/condition'

/** Where what a condition is told by is published, or that it is common practice. */
export const CONDITION_SOURCES: Readonly<Record<Condition['name'], string>> = {
  'random-sample': 'what is stated of the sample',
  independence: 'what is stated of the sample; a tenth of the lot is common practice',
  order: 'Wald & Wolfowitz (1940), Annals of Mathematical Statistics 11, 147-162',
  normality:
    'Royston (1995), Applied Statistics 44, 547-551; D’Agostino & Stephens (1986); the limits are common practice',
  symmetry: 'Joanes & Gill (1998), The Statistician 47, 183-189',
  'sample-size': 'common practice',
  outliers: 'Grubbs (1969), Technometrics 11, 1-21; Rosner (1983), Technometrics 25, 165-172',
  'expected-counts': 'common practice',
}
