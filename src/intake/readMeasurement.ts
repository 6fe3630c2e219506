import type { Measurement } from '@/claims/terms/measurement'
import type { ClaimDraft } from '@/desk/claimDraft'
import type { SampleDraft } from '@/desk/sampleDraft'
import { dateText } from './reading/date'
import { readDay } from './reading/day'
import { unitAt } from './reading/entry'
import { type FieldProblem, FieldReader, NOT_NEGATIVE, POSITIVE, stated } from './reading/fieldReader'
import { readNumber } from './reading/number'
import { conversionBetween } from './reading/units'

type Draft = Pick<ClaimDraft, 'unit' | 'allowForMeasurement' | 'limitSide' | 'guardFactor'>

export type MeasurementRead = Readonly<{
  measurement?: Measurement
  missing: readonly FieldProblem[]
  problems: readonly FieldProblem[]
}>

/** The fields of a sample that say how far off an instrument may be, as its certificate has it. */
const QUANTITIES = ['uncertainty', 'readingUncertainty', 'resolution'] as const
type Quantity = (typeof QUANTITIES)[number]

/**
 * What is known of the instrument, in the claim's unit.
 *
 * A resolution in words was always allowed, and is held against nothing where it is no number with a unit that fits.
 *
 * @param unit - of the readings as they stand
 */
export function readMeasurement(sample: SampleDraft, draft: Draft, unit: string): MeasurementRead {
  const texts = Object.fromEntries(QUANTITIES.map((field) => [field, numberIn(sample[field])]))
  const fields = new FieldReader<keyof SampleDraft>({ ...sample, ...texts }, sample.decimalMark)
  const problems: FieldProblem[] = []
  const inUnit = (field: Quantity, value: number | undefined) => {
    const stands = unitAt(sample[field].trim())?.unit ?? unit
    const conversion = conversionBetween(stands, draft.unit)
    if (conversion.ok) return value === undefined ? undefined : (conversion.value?.distance(value) ?? value)
    if (field !== 'resolution') problems.push({ field, message: conversion.problem.message })
    return undefined
  }
  const expanded = inUnit('uncertainty', fields.number('uncertainty', 'uncertainty', NOT_NEGATIVE))
  const factor = fields.number('coverageFactor', 'coverage factor', POSITIVE)
  const degreesOfFreedom = fields.number('uncertaintyDegrees', 'number of degrees of freedom', POSITIVE)
  const reading = inUnit(
    'readingUncertainty',
    fields.number('readingUncertainty', 'uncertainty of one reading', NOT_NEGATIVE),
  )
  const step = readNumber(texts.resolution!, sample.decimalMark)
  const resolution = step.ok && step.value > 0 ? inUnit('resolution', step.value) : undefined
  const systematic = expanded === undefined || factor === undefined ? undefined : expanded / factor
  const measurement: Measurement = stated({
    systematic,
    ...(systematic === undefined ? {} : { degreesOfFreedom }),
    ...{ resolution, reading },
    ...daysOf(sample),
  })
  return {
    ...(Object.keys(measurement).length === 0 ? {} : { measurement }),
    missing: missingFor(draft, { expanded, factor, reading }),
    problems: [...fields.problems, ...problems],
  }
}

/** Without the unit that stands at it. */
const numberIn = (text: string): string => unitAt(text.trim())?.number ?? text

/** When a sample was measured, as it is typed: when it was drawn, where no other day is stated. */
export const measuredWhen = ({ measuredOn, drawnWhen }: SampleDraft): string =>
  measuredOn.trim() === '' ? drawnWhen : measuredOn

function daysOf(sample: SampleDraft) {
  const { calibratedOn, calibrationDue } = sample
  const day = (text: string, which: 'first' | 'last') => {
    const read = readDay(text)
    return read?.ok ? dateText(read[which]) : undefined
  }
  const days = { calibratedOn: day(calibratedOn, 'first'), calibrationDue: day(calibrationDue, 'last') }
  return days.calibratedOn || days.calibrationDue
    ? { ...days, measuredOn: day(measuredWhen(sample), 'last') }
    : {}
}

function missingFor(
  { allowForMeasurement, limitSide, guardFactor }: Draft,
  { expanded, factor, reading }: Readonly<Record<'expanded' | 'factor' | 'reading', number | undefined>>,
): readonly FieldProblem[] {
  const missing: FieldProblem[] = []
  if (allowForMeasurement && expanded === undefined)
    missing.push({
      field: 'uncertainty',
      message: 'State the expanded uncertainty of the instrument, as its certificate has it.',
    })
  if (allowForMeasurement && factor === undefined)
    missing.push({
      field: 'coverageFactor',
      message: 'State the coverage factor k of that uncertainty, as the certificate has it; 2 is usual.',
    })
  if (limitSide !== 'none' && guardFactor.trim() !== '' && reading === undefined)
    missing.push({
      field: 'readingUncertainty',
      message: 'State the standard uncertainty of one reading, which the guard band is made of.',
    })
  return missing
}
