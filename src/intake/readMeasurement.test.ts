import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import { readMeasurement } from './readMeasurement'

const read = (sample: Partial<SampleDraft>, more: Partial<typeof EMPTY_CLAIM> = {}, unit = 'kg') =>
  readMeasurement({ ...EMPTY_SAMPLE, ...sample }, { ...EMPTY_CLAIM, unit: 'kg', ...more }, unit)
const CERTIFICATE = { uncertainty: '0.02 kg', coverageFactor: '2' }

test('an expanded uncertainty is divided by its factor, and stands in the claim’s unit', () => {
  expect(read(CERTIFICATE).measurement).toEqual({ systematic: 0.01 })
  expect(read({ ...CERTIFICATE, uncertainty: '20 g', uncertaintyDegrees: '50' }).measurement).toEqual({
    systematic: 0.01,
    degreesOfFreedom: 50,
  })
  // Without a unit of its own it has that of the readings.
  expect(read({ ...CERTIFICATE, uncertainty: '20' }, {}, 'g').measurement).toEqual({ systematic: 0.01 })
  expect(read({ ...CERTIFICATE, uncertainty: '0.02 m' }).problems[0]).toMatchObject({ field: 'uncertainty' })
  expect(read({ ...CERTIFICATE, uncertainty: 'small' }).problems[0]).toMatchObject({ field: 'uncertainty' })
  expect(read({ uncertainty: '0.02' })).toEqual({ missing: [], problems: [] })
})

test('a resolution in words is held against nothing', () => {
  expect(read({ resolution: '10 g' }).measurement).toEqual({ resolution: 0.01 })
  expect(read({ resolution: 'fine' })).toEqual({ missing: [], problems: [] })
  expect(read({ resolution: '0.1 °C' })).toEqual({ missing: [], problems: [] })
})

test('the days of a calibration are held against the last day of sampling', () => {
  const days = {
    calibratedOn: '2025-12-02',
    calibrationDue: '2026-12-01',
    drawnWhen: '2026-01-14 to 2026-01-16',
  }
  expect(read(days).measurement).toEqual({
    calibratedOn: '2025-12-02',
    calibrationDue: '2026-12-01',
    measuredOn: '2026-01-16',
  })
  expect(read({ drawnWhen: '2026-01-14' }).measurement).toBeUndefined()
  // Measured on another day than it was drawn on, that day counts; one that is none counts as unknown.
  expect(read({ ...days, measuredOn: '2026-12-02' }).measurement).toMatchObject({ measuredOn: '2026-12-02' })
  expect(read({ ...days, measuredOn: ' ' }).measurement).toMatchObject({ measuredOn: '2026-01-16' })
  expect(read({ ...days, measuredOn: 'soon' }).measurement).toEqual({
    calibratedOn: '2025-12-02',
    calibrationDue: '2026-12-01',
  })
})

test('what a claim needs of it is asked for', () => {
  const fields = (sample: Partial<SampleDraft>, more: Partial<typeof EMPTY_CLAIM>) =>
    read(sample, more).missing.map(({ field }) => field)
  expect(fields({}, { allowForMeasurement: true })).toEqual(['uncertainty', 'coverageFactor'])
  expect(fields(CERTIFICATE, { allowForMeasurement: true })).toEqual([])
  expect(fields({}, { limitSide: 'at-least', guardFactor: '2' })).toEqual(['readingUncertainty'])
  expect(fields({ readingUncertainty: '0.01' }, { limitSide: 'at-least', guardFactor: '2' })).toEqual([])
})
