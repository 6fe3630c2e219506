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

/** Of intervals that are not of the test's own method. */
export const INTERVAL_SOURCES: Readonly<Record<string, string>> = {
  wilson: 'Wilson (1927), J. American Statistical Association 22, 209-212',
  'wilson-corrected': 'Newcombe (1998), Statistics in Medicine 17, 857-872',
  'clopper-pearson': 'Clopper & Pearson (1934), Biometrika 26, 404-413',
  'agresti-coull': 'Agresti & Coull (1998), The American Statistician 52, 119-126',
  jeffreys: 'Brown, Cai & DasGupta (2001), Statistical Science 16, 101-133',
  wald: 'Brown, Cai & DasGupta (2001), Statistical Science 16, 101-133',
  garwood: 'Garwood (1936), Biometrika 28, 437-442',
  score: 'Brown, Cai & DasGupta (2003), Interval estimation in exponential families',
  'mid-p': 'Lancaster (1961), J. American Statistical Association 56, 223-234',
  'hodges-lehmann': 'Hodges & Lehmann (1963), Annals of Mathematical Statistics 34, 598-611',
}

export const EFFECT_SOURCES = {
  hedgesG:
    'Hedges (1981), J. of Educational Statistics 6, 107-128; its interval by the noncentral t distribution',
  cohenH: 'Cohen (1988), Statistical Power Analysis for the Behavioral Sciences',
} as const

export const TOLERANCE_SOURCE = 'Schuirmann (1987), J. of Pharmacokinetics and Biopharmaceutics 15, 657-680'
export const GENERATOR_SOURCE =
  'xoshiro128**: Blackman & Vigna (2021), ACM Transactions on Mathematical Software 47, 36'
