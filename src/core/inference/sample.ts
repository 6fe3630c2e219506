import type { Moments } from '../describe/moments'

/** The figures of one sample, from readings or from a summary. */
export type MeanSample = Moments &
  Readonly<{
    /** How many readings were kept out of the test. */
    setAside: number
    lotSize?: number | undefined
    /** Where the figures stand in the check document, for problems that point at them. */
    path: string
  }>
