import type { Condition } from '@/claims/terms/condition'

/** Where what a condition is told by is published, or that it is common practice. */
export const CONDITION_SOURCES: Readonly<Record<Condition['name'], string>> = {
  'random-sample': 'what is stated of the sample',
  independence: 'what is stated of the sample',
  'share-of-lot': 'a tenth of the lot is common practice',
  order:
    'Wald & Wolfowitz (1940), Annals of Mathematical Statistics 11, 147-162; Box, Jenkins & Reinsel (1994), Time Series Analysis',
  normality:
    'Hall (1992), The Bootstrap and Edgeworth Expansion, for a mean; Box (1953), Biometrika 40, 318-335, for a spread; the limits are common practice',
  symmetry: 'Joanes & Gill (1998), The Statistician 47, 183-189',
  'equal-readings': 'Conover (1999), Practical Nonparametric Statistics',
  outliers: 'Grubbs (1969), Technometrics 11, 1-21; Rosner (1983), Technometrics 25, 165-172',
  'expected-counts': 'common practice',
  dispersion: 'Fisher (1925), Statistical Methods for Research Workers; the limit of 1 % is common practice',
  resolution: 'common practice',
  calibration: 'what is stated of the instrument',
}
