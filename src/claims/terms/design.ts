import type { Groups } from '@/statistics/describe/clusterMean'
import type { Method } from './names'

/** How readings were taken, where not one by one of the whole lot: the names of the groups, and to which each reading belongs. */
export type Design = Readonly<{ names: readonly string[]; groups: Groups }> &
  (
    | Readonly<{ kind: 'clusters'; inLot?: number | undefined }>
    /** `sizes` of the layers of the lot, in the order of their names. */
    | Readonly<{ kind: 'strata'; sizes: readonly number[]; layers: 'finite' | 'endless' }>
  )

/** The method for readings that were not taken one by one of the whole lot; undefined where they were. */
export function designMethod(design: Design['kind'] | undefined): Method | undefined {
  switch (design) {
    case 'clusters':
      return 'cluster-t'
    case 'strata':
      return 'stratified-t'
    case undefined:
      return undefined
    default:
      return design satisfies never
  }
}
