import * as z from 'zod'

/** What is known of the instrument, in the unit of the readings: standard uncertainties, not expanded ones. */
export const measurementSchema = z.strictObject({
  /** Of what all readings share, as from a calibration: U over k of its certificate. */
  systematic: z.number().nonnegative().optional(),
  /** Of `systematic`; left out: without end. */
  degreesOfFreedom: z.number().positive().optional(),
  /** The step between two readings that the instrument tells apart. */
  resolution: z.number().nonnegative().optional(),
  /** Of one reading by itself. */
  reading: z.number().nonnegative().optional(),
  /** Days, as 2026-11-28. */
  calibratedOn: z.iso.date().optional(),
  calibrationDue: z.iso.date().optional(),
  measuredOn: z.iso.date().optional(),
})

export type Measurement = z.output<typeof measurementSchema>
