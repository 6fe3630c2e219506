import type { NamedDistribution } from '@/statistics/distributions/named'
import type { Method } from '@/statistics/inference/procedure'
import { formatFull } from '../figures'

export const METHOD_NAMES: Readonly<Record<Method, string>> = {
  t: 't test',
  z: 'z test',
  bootstrap: 'bootstrap test',
  'chi-square': 'chi-square test',
  bonett: 'Bonett test',
  'score-z': 'score z test',
  'exact-binomial': 'exact binomial test',
  hypergeometric: 'hypergeometric test',
  f: 'F test',
  levene: 'Levene test',
  'brown-forsythe': 'Brown-Forsythe test',
  'signed-rank': 'signed-rank test',
  sign: 'sign test',
}

/** The letter of each method's statistic. */
export const STATISTIC: Readonly<Record<Method, string>> = {
  t: 't',
  z: 'z',
  bootstrap: 'estimate',
  'chi-square': 'χ²',
  bonett: 'z',
  'score-z': 'z',
  'exact-binomial': 'x',
  hypergeometric: 'x',
  f: 'F',
  levene: 'F',
  'brown-forsythe': 'F',
  'signed-rank': 'W⁺',
  sign: 'x',
}

/** Which test it is, and why this one. */
export const METHOD_REASONS: Readonly<Record<Method, string>> = {
  t: 'One-sample t test: the population’s standard deviation is not known, so the sample’s stands in for it.',
  z: 'One-sample z test: the population’s standard deviation is taken as known.',
  bootstrap:
    'Bootstrap: resamples of the readings themselves stand in for the population, whatever its shape.',
  'chi-square': 'One-sample chi-square test of a spread: exact for a normal population, and only for one.',
  bonett: 'Bonett’s test of a spread: allows for a population with heavier or lighter tails than the normal.',
  'score-z':
    'One-sample score test of a share: enough successes and failures are expected for the normal distribution to stand in.',
  'exact-binomial': 'Exact binomial test of a share: counts the outcomes themselves, at any size of sample.',
  hypergeometric: 'Hypergeometric test of a share: exact for a sample drawn from a lot of known size.',
  f: 'F test of two spreads: exact for two normal populations, and only for those.',
  levene:
    'Levene’s test of two spreads: compares distances from each mean, and bears populations that are not quite normal.',
  'brown-forsythe':
    'Brown and Forsythe’s test of two spreads: compares distances from each median, and bears skewed populations.',
  'signed-rank':
    'Signed-rank test of a median: uses the order of the distances, and rests on a symmetric population.',
  sign: 'Sign test of a median: uses only which side each reading lies on, and rests on no shape at all.',
}

/** The statistic's formula in symbols. */
export const FORMULAS: Readonly<Record<Method, string>> = {
  t: 't = (x̄ − μ₀) ÷ (s ÷ √n)',
  z: 'z = (x̄ − μ₀) ÷ (σ ÷ √n)',
  bootstrap: 'p = (resamples as far out + 1) ÷ (resamples + 1)',
  'chi-square': 'χ² = (n − 1) s² ÷ σ₀²',
  bonett: 'z at which exp(ln(c s²) ∓ z c · error) meets σ₀²',
  'score-z': 'z = (x − n p₀) ÷ √(n p₀ (1 − p₀))',
  'exact-binomial': 'x of n against binomial(n, p₀)',
  hypergeometric: 'x of n against hypergeometric(N, D, n)',
  f: 'F = (s₁² ÷ s₂²) ÷ ratio₀',
  levene: 'F = between ÷ within, of |x − mean|',
  'brown-forsythe': 'F = between ÷ within, of |x − median|',
  'signed-rank': 'W⁺ = sum of the ranks of |x − c| above c',
  sign: 'x above c, of those not equal to c, against binomial(n, ½)',
}

/** The reference distribution in words: "11 degrees of freedom". */
export function distributionWords(distribution: NamedDistribution | undefined): string {
  if (!distribution) return 'resamples'
  switch (distribution.name) {
    case 'normal':
      return 'normal distribution'
    case 't':
    case 'chi-square':
      return `${formatFull(distribution.df)} ${distribution.df === 1 ? 'degree' : 'degrees'} of freedom`
    case 'f':
      return `${distribution.df1} and ${distribution.df2} degrees of freedom`
    case 'binomial':
      return `binomial with n = ${distribution.n}, p = ${formatFull(distribution.p)}`
    case 'hypergeometric':
      return `${distribution.n} of a lot of ${distribution.lotSize} with ${distribution.marked} marked`
    case 'signed-rank':
      return `exact distribution for ${distribution.n} ranks`
    default:
      return distribution satisfies never
  }
}
