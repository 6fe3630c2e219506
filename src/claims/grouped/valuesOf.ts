import type { SampleOf } from '../terms/sample'

/** The readings tested, or of a share 1 and 0 for each unit; none where only their figures are known. */
export const valuesIn = (sample: SampleOf<'measured' | 'counted'>): readonly number[] | undefined =>
  sample.kind === 'measured' ? sample.measured.values : sample.marks
