/** The one list of parameters, in the order in which they are offered; `all` has what there is to say of each. */
export const PARAMETERS = [
  'mean',
  'standard-deviation',
  'variance',
  'proportion',
  'variance-ratio',
  'median',
  'rate',
] as const
export type Parameter = (typeof PARAMETERS)[number]

/** The one list of methods: those of one parameter are offered in this order. */
export const METHODS = [
  't',
  'z',
  'cluster-t',
  'stratified-t',
  'chi-square',
  'bonett',
  'score-z',
  'exact-binomial',
  'hypergeometric',
  'normal-share',
  'f',
  'brown-forsythe',
  'levene',
  'signed-rank',
  'sign',
  'quantile',
  'exact-poisson',
  'score-poisson',
  'bootstrap',
] as const
export type Method = (typeof METHODS)[number]
