import { dayNumber } from '@/statistics/numeric/dayNumber'
import { type Condition, conditions } from '../terms/condition'
import type { Measurement } from '../terms/measurement'
import type { SampleOf } from '../terms/sample'

/** What the instrument leaves open, as far as it is stated. */
export function measurementConditions({
  measurement = {},
  measured: { standardDeviation },
}: Pick<SampleOf<'measured'>, 'measurement' | 'measured'>): readonly Condition[] {
  return [...resolution(measurement, standardDeviation), ...calibration(measurement)]
}

/** Whether it tells readings apart that differ as these do: common practice, no source. */
function resolution(
  { resolution: step }: Measurement,
  standardDeviation: number | undefined,
): readonly Condition[] {
  if (!step || standardDeviation === undefined) return []
  const figures = { resolution: step, standardDeviation }
  if (standardDeviation === 0) return [conditions.resolutionHides(figures)]
  return [
    step <= standardDeviation ? conditions.resolutionFine(figures) : conditions.resolutionCoarse(figures),
  ]
}

/** Whether its calibration was in date on the day of measurement. */
function calibration({ calibratedOn, calibrationDue, measuredOn }: Measurement): readonly Condition[] {
  if (!calibratedOn && !calibrationDue) return []
  if (!measuredOn) return [conditions.calibrationUnknown()]
  const daysFrom = (day: string) => dayNumber(measuredOn) - dayNumber(day)
  if (calibrationDue && daysFrom(calibrationDue) > 0)
    return [conditions.calibrationOverdue({ days: daysFrom(calibrationDue) })]
  if (calibratedOn && daysFrom(calibratedOn) < 0)
    return [conditions.calibratedAfter({ days: -daysFrom(calibratedOn) })]
  return [
    calibrationDue
      ? conditions.calibrationInDate({ days: -daysFrom(calibrationDue) })
      : conditions.calibrationOpen({ days: daysFrom(calibratedOn!) }),
  ]
}
