import 'server-only'
import { EMPTY_INSTRUMENT, type Instrument } from '@/desk/instrument'

/** The scale of the register, of which the samples of the demo take what is known of it. */
export const BENCH_SCALE: Instrument = {
  ...EMPTY_INSTRUMENT,
  name: 'bench scale 3',
  resolution: '0.01 kg',
  calibratedOn: '2025-12-02',
  calibrationDue: '2026-12-01',
  uncertainty: '0.01 kg',
  coverageFactor: '2',
  readingUncertainty: '0.006 kg',
  traceability: 'certificate 25-118 of the island’s weighing laboratory',
}
