import type { Groups } from '@/statistics/inference/clusterMean'

/** How readings were taken, where not one by one of the whole lot: the names of the groups, and to which each reading belongs. */
export type Design = Readonly<{ names: readonly string[]; groups: Groups }> &
  (
    | Readonly<{ kind: 'clusters'; inLot?: number | undefined }>
    /** `sizes` of the layers of the lot, in the order of their names. */
    | Readonly<{ kind: 'strata'; sizes: readonly number[]; layers: 'finite' | 'endless' }>
  )
