import type { Design } from '../terms/design'
import type { Method } from '../terms/names'

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
