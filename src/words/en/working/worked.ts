import type { PointTest, Procedure } from '@/statistics/inference/procedure'
import type { Sample } from '@/claims/sample'

/** One value tested, and what it was tested with. */
export type Worked = Readonly<{ sample: Sample; procedure: Procedure; value: number; part: PointTest }>
