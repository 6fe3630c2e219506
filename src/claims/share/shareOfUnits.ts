import type { Worked } from '../terms/definition'

/** The share that a count of the sample's units is. */
export const shareOfUnits = ({ sample }: Worked<unknown, 'counted'>, count: number): number =>
  count / sample.n
