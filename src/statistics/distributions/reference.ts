import type { Continuous } from './tails'

/** What any distribution that a statistic is compared with can say. */
export type Reference = Readonly<Pick<Continuous, 'tails' | 'quantile' | 'density'>>
