import * as z from 'zod/mini'

/** What is known of the instrument, in the unit of the readings: standard uncertainties, not expanded ones. */
export const measurementSchema = z.strictObject({
  /** Of what all readings share, as from a calibration: U over k of its certificate. */
  systematic: z.optional(z.number().check(z.nonnegative())),
  /** Of `systematic`; left out: without end. */
  degreesOfFreedom: z.optional(z.number().check(z.positive())),
  /** The step between two readings that the instrument tells apart. */
  resolution: z.optional(z.number().check(z.nonnegative())),
  /** Of one reading by itself. */
  reading: z.optional(z.number().check(z.nonnegative())),
  /** Days, as 2026-11-28. */
  calibratedOn: z.optional(z.iso.date()),
  calibrationDue: z.optional(z.iso.date()),
  measuredOn: z.optional(z.iso.date()),
})

export type Measurement = z.output<typeof measurementSchema>
