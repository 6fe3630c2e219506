import { type Parameter, PARAMETERS } from '@/claims/terms/names'

/** What is said of a parameter. */
export type ParameterWords = Readonly<{
  noun: string
  /** What stands between the noun and the quantity: "standard deviation of the temperature". */
  link: string
  /** The quantity, where nothing is typed yet; and the claimed value. */
  quantityHint: string
  valueHint: string
  /** Behind the quantity, where what is compared needs saying. */
  aside: string
  evidenceNeeded: string
  /** What a claimed value outside its domain needs. */
  outside: (seen: number) => string
  /** Why summary figures, or a count, do not tell it, where they do not. */
  notFromSummary?: string
  notFromCount?: string
  /** Phrases in a claim's own wording that speak of it. */
  phrases: RegExp
  /** Its names where a claim is written as a phrase. */
  names: readonly string[]
}>

const aboveZero = (noun: string) => (seen: number) =>
  `A ${noun} is above 0; the value here is ${seen}. State one above 0.`
const anywhere = () => 'State a number that this program can hold, up to about 1.8 × 10³⁰⁸.'

/** The catalogue of parameters: a missing one is refused by the compiler. */
export const PARAMETER_WORDS: { readonly [Name in Parameter]: ParameterWords } = {
  'variance-ratio': {
    noun: 'ratio of variances',
    link: 'of the ',
    quantityHint: 'quantity',
    valueHint: 'value',
    aside: ', first source over second,',
    evidenceNeeded: 'Give two lists of readings, or two summaries.',
    outside: aboveZero('ratio of variances'),
    notFromCount:
      'A ratio of variances cannot be told from a count. Give the readings, or their summary figures.',
    phrases:
      /\b(?:just )?as (?:even(?:ly)?|uniform(?:ly)?|consistent(?:ly)?) as\b|\bjust as (?:even(?:ly)?|uniform(?:ly)?|consistent(?:ly)?)\b/,
    names: [],
  },
  variance: {
    noun: 'variance',
    link: 'of the ',
    quantityHint: 'quantity',
    valueHint: 'value',
    aside: '',
    evidenceNeeded: 'Give readings, or a summary of n and variance.',
    outside: aboveZero('variance'),
    notFromCount: 'A variance cannot be told from a count. Give the readings, or their summary figures.',
    phrases: /\bvariance\b/,
    names: ['variance'],
  },
  'standard-deviation': {
    noun: 'standard deviation',
    link: 'of the ',
    quantityHint: 'quantity',
    valueHint: 'value',
    aside: '',
    evidenceNeeded: 'Give readings, or a summary of n and standard deviation.',
    outside: aboveZero('standard deviation'),
    notFromCount:
      'A standard deviation cannot be told from a count. Give the readings, or their summary figures.',
    phrases: /\bvar(?:y|ies|ying|iation)\b|\bstandard deviation\b|\bscatter\b/,
    names: ['standard deviation'],
  },
  median: {
    noun: 'median',
    link: '',
    quantityHint: 'quantity',
    valueHint: 'value',
    aside: '',
    evidenceNeeded: 'Give readings.',
    outside: anywhere,
    notFromSummary: 'A median cannot be told from a mean and a spread. Give the readings.',
    notFromCount: 'A median cannot be told from a count. Give the readings.',
    phrases: /\bmedian\b/,
    names: ['median'],
  },
  mean: {
    noun: 'mean',
    link: '',
    quantityHint: 'quantity',
    valueHint: 'value',
    aside: '',
    evidenceNeeded: 'Give readings, or a summary of n, mean and standard deviation.',
    outside: anywhere,
    notFromCount: 'A mean cannot be told from a count. Give the readings, or their summary figures.',
    phrases: /\bon average\b|\baverage\b|\baverages\b|\bmean\b(?! (?:to|that)\b)/,
    names: ['mean', 'average'],
  },
  rate: {
    noun: 'rate',
    link: 'of ',
    quantityHint: 'events, such as complaints',
    valueHint: '2',
    aside: '',
    evidenceNeeded: 'Give the events and the exposure that they were counted over.',
    outside: aboveZero('rate'),
    notFromSummary:
      'A rate cannot be told from a mean and a spread. Give the events and the exposure that they were counted over.',
    notFromCount:
      'A rate is told from events over an exposure, and not from units that count among others. Give the events and their exposure, or claim a share.',
    phrases: /\brate\b/,
    names: ['rate'],
  },
  proportion: {
    noun: 'share',
    link: 'of ',
    quantityHint: 'units with a property',
    valueHint: '95 %',
    aside: '',
    evidenceNeeded: 'Give a count: n and successes.',
    outside: (seen) =>
      `A share lies between 0 and 1; the value here is ${seen}. ${seen > 1 && seen <= 100 ? `If ${seen} % is meant, state ${Number((seen / 100).toPrecision(15))}.` : 'State one between 0 and 1.'}`,
    notFromSummary: 'A share cannot be told from a mean and a spread. Give a count, or the readings.',
    phrases: /\b(?:share|proportion|percentage|fraction)\b/,
    names: ['share', 'proportion'],
  },
}

/** Their nouns, in the order in which they are offered. */
export const PARAMETER_NOUNS = Object.fromEntries(
  PARAMETERS.map((name) => [name, PARAMETER_WORDS[name].noun]),
) as { readonly [Name in Parameter]: string }
