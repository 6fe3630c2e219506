/** A distribution by its name and parameters, as documents carry it. */
export type NamedDistribution =
  | Readonly<{ name: 'normal' }>
  | Readonly<{ name: 't'; df: number }>
  | Readonly<{ name: 'chi-square'; df: number }>
  | Readonly<{ name: 'f'; df1: number; df2: number }>
  | Readonly<{ name: 'binomial'; n: number; p: number }>
  | Readonly<{ name: 'hypergeometric'; lotSize: number; marked: number; n: number }>
  | Readonly<{ name: 'signed-rank'; n: number }>
