/** A distribution by its name and parameters, as documents carry it. */
export type NamedDistribution =
  | Readonly<{ name: 'normal' }>
  | Readonly<{ name: 't'; df: number }>
  | Readonly<{ name: 'chi-square'; df: number }>
  | Readonly<{ name: 'f'; df1: number; df2: number }>
  | Readonly<{ name: 'beta'; a: number; b: number }>
  | Readonly<{ name: 'noncentral-t'; df: number; ncp: number }>
  | Readonly<{ name: 'binomial'; n: number; p: number }>
  | Readonly<{ name: 'hypergeometric'; lotSize: number; marked: number; n: number }>
  | Readonly<{ name: 'signed-rank'; n: number }>

const DISCRETE: readonly NamedDistribution['name'][] = ['binomial', 'hypergeometric', 'signed-rank']

/**
 * Whether a distribution is one of whole numbers.
 *
 * @example
 * isDiscrete({ name: 'binomial', n: 10, p: 0.5 }) // true
 */
export const isDiscrete = ({ name }: NamedDistribution): boolean => DISCRETE.includes(name)
