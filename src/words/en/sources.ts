import type { Condition } from '@/claims/conditions/condition'
import type { Method } from '@/statistics/inference/procedure'

/** Where each method is published; docs/METHODS.md says what of it is computed. */
export const METHOD_SOURCES: Readonly<Record<Method, string>> = {
  t: 'Student (1908), Biometrika 6, 1-25; ISO 2602; ISO 2854',
  z: 'ISO 2854',
  bootstrap: 'Efron (1987), J. American Statistical Association 82, 171-185; Davison & Hinkley (1997)',
  'chi-square': 'ISO 2854',
  bonett: 'Bonett (2006), Computational Statistics & Data Analysis 50, 775-782',
  'score-z': 'ISO 11453; Newcombe (1998), Statistics in Medicine 17, 857-872',
  'exact-binomial': 'Clopper & Pearson (1934), Biometrika 26, 404-413',
  hypergeometric: 'ISO 2859 family; Cochran (1977), Sampling Techniques',
  f: 'ISO 2854',
  levene: 'Levene (1960), in Contributions to Probability and Statistics',
  'brown-forsythe': 'Brown & Forsythe (1974), J. American Statistical Association 69, 364-367',
  'signed-rank': 'Wilcoxon (1945), Biometrics Bulletin 1, 80-83; Hollander & Wolfe (1999)',
  sign: 'Conover (1999), Practical Nonparametric Statistics',
}

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
