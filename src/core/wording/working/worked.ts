import type { PointTest, Procedure } from '../../inference/procedure'
import type { Sample } from '../../inference/sample'

/** One value tested, and what it was tested with. */
export type Worked = Readonly<{ sample: Sample; procedure: Procedure; value: number; part: PointTest }>
