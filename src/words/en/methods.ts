import type { MethodNeed } from '@/claims/terms/definition'
import type { CheckResult } from '@/claims/result'
import type { Method } from '@/claims/terms/names'
import { partsOf } from '@/claims/testParts'
import { formatCount, formatFull } from '../figures'

/** What is said of a method. */
export type MethodWords = Readonly<{
  name: string
  /** Which test it is, and why this one. */
  reason: string
  /** How it is asked about in a cross-examination of a test by another method, where that has words of its own. */
  insteadOf?: { readonly [Used in Method]?: string }
  /** Why it has no interval, where it has none. */
  noInterval?: string
}>

/** The catalogue of methods: a missing one is refused by the compiler. */
export const METHOD_WORDS: { readonly [Name in Method]: MethodWords } = {
  t: {
    name: 't test',
    reason:
      'One-sample t test: the population’s standard deviation is not known, so the sample’s stands in for it.',
    /** Asked about in place of the z test, it is the standard deviation that is no longer taken as known. */
    insteadOf: { z: 'the standard deviation were not taken as known (t test)' },
  },
  z: {
    name: 'z test',
    reason: 'One-sample z test: the population’s standard deviation is taken as known.',
  },
  'cluster-t': {
    name: 't test by clusters',
    reason:
      't test of readings taken in clusters: each cluster counts once, by its total, so that readings of one cluster may be alike.',
  },
  'stratified-t': {
    name: 't test by layers',
    reason: 't test of a lot sampled in layers: each layer’s readings count by its size in the lot.',
  },
  'chi-square': {
    name: 'chi-square test',
    reason: 'One-sample chi-square test of a spread: exact for a normal population, and only for one.',
  },
  bonett: {
    name: 'Bonett test',
    reason:
      'Bonett’s test of a spread: allows for a population with heavier or lighter tails than the normal.',
  },
  'score-z': {
    name: 'score z test',
    reason:
      'One-sample score test of a share: enough successes and failures are expected for the normal distribution to stand in.',
  },
  'exact-binomial': {
    name: 'exact binomial test',
    reason: 'Exact binomial test of a share: counts the outcomes themselves, at any size of sample.',
  },
  hypergeometric: {
    name: 'hypergeometric test',
    reason: 'Hypergeometric test of a share: exact for a sample drawn from a lot of known size.',
  },
  'normal-share': {
    name: 'normal test of a share',
    reason:
      'Test of a share of items by the mean and the spread of their readings: tells more than counting, where the readings are normal, and rests on that at every size of sample.',
  },
  f: {
    name: 'F test',
    reason: 'F test of two spreads: exact for two normal populations, and only for those.',
  },
  'brown-forsythe': {
    name: 'Brown-Forsythe test',
    reason:
      'Brown and Forsythe’s test of two spreads: compares distances from each median, and bears skewed populations.',
    noInterval: 'The Brown-Forsythe test has no interval; the F test’s is one, for normal populations.',
  },
  levene: {
    name: 'Levene test',
    reason:
      'Levene’s test of two spreads: compares distances from each mean, and bears populations that are not quite normal.',
    noInterval: 'The Levene test has no interval; the F test’s is one, for normal populations.',
  },
  'signed-rank': {
    name: 'signed-rank test',
    reason:
      'Signed-rank test of a median: uses the order of the distances, and rests on a symmetric population.',
  },
  sign: {
    name: 'sign test',
    reason: 'Sign test of a median: uses only which side each reading lies on, and rests on no shape at all.',
  },
  quantile: {
    name: 'quantile test',
    reason:
      'Quantile test of a median: the sign test, but that readings equal to the claimed value are counted as they speak for it, and not left out.',
  },
  'exact-poisson': {
    name: 'exact Poisson test',
    reason: 'Exact Poisson test of a rate: counts the events themselves, however few they are.',
  },
  'score-poisson': {
    name: 'Poisson score test',
    reason:
      'Score test of a rate: enough events are expected for the normal distribution to stand in for their count.',
  },
  bootstrap: {
    name: 'bootstrap test',
    reason:
      'Bootstrap: resamples of the readings themselves stand in for the population, whatever its shape.',
  },
}

/** What a method lacks, behind its name: "the z test needs a known standard deviation". */
export const NEED_WORDS: { readonly [Need in MethodNeed]: string } = {
  'known-standard-deviation': 'needs a known standard deviation',
  readings: 'needs the readings themselves',
  'enough-readings': 'needs more readings',
  'two-sided': 'tells only whether the spreads differ',
  'lot-size': 'needs the size of the lot',
  limit: 'needs a limit for each item',
  values: 'needs every value itself, and not a limit',
  clusters: 'needs the cluster of each reading',
  strata: 'needs the layer of each reading and their sizes',
}

/** The reference distribution in words: "11 degrees of freedom". */
export function distributionWords(test: CheckResult['test']): string {
  const { distribution } = test
  if (!distribution) {
    const figures = partsOf(test)[0]?.figures
    return figures && 'count' in figures ? `${formatCount(figures.count)} resamples` : 'resamples'
  }
  switch (distribution.name) {
    case 'normal':
      return 'normal distribution'
    case 't':
    case 'chi-square':
      return `${formatFull(Number(distribution.df.toPrecision(8)))} ${distribution.df === 1 ? 'degree' : 'degrees'} of freedom`
    case 'f':
      return `${distribution.df1} and ${distribution.df2} degrees of freedom`
    case 'noncentral-t':
      return `noncentral t with ${formatFull(distribution.df)} ${distribution.df === 1 ? 'degree' : 'degrees'} of freedom, noncentrality ${formatFull(Number(distribution.ncp.toPrecision(8)))}`
    case 'binomial':
      return `binomial with n = ${distribution.n}, p = ${formatFull(distribution.p)}`
    case 'hypergeometric':
      return `${distribution.n} of a lot of ${distribution.lotSize} with ${distribution.marked} marked`
    case 'poisson':
      return `Poisson with mean ${formatFull(Number(distribution.mean.toPrecision(12)))}`
    case 'signed-rank':
      return `exact distribution for ${distribution.n} ranks${distribution.ranks ? ', some of them tied' : ''}`
    default:
      return distribution satisfies never
  }
}
