import * as z from 'zod/mini'
import type { SampleDraft } from './sampleDraft'
import { storedText } from './typed'

const words = storedText(500)

/** What the office knows of an instrument, texts as they are typed; a sample takes them over as they stand that day. */
export const instrumentSchema = z.strictObject({
  name: words,
  resolution: words,
  calibratedOn: words,
  calibrationDue: words,
  /** Expanded, with its coverage factor and its degrees of freedom, as the certificate has it. */
  uncertainty: words,
  coverageFactor: words,
  uncertaintyDegrees: words,
  readingUncertainty: words,
  /** The certificate, and what its values are traceable to. */
  traceability: words,
  /** No sample takes it any more. */
  isRetired: z.boolean(),
})
export type Instrument = Readonly<z.infer<typeof instrumentSchema>>
export type RegisteredInstrument = Instrument & Readonly<{ id: string; changedBy: string; changedAt: string }>

export const EMPTY_INSTRUMENT: Instrument = {
  ...{ name: '', resolution: '', calibratedOn: '', calibrationDue: '' },
  ...{ uncertainty: '', coverageFactor: '', uncertaintyDegrees: '', readingUncertainty: '' },
  traceability: '',
  isRetired: false,
}

/** What a sample takes over of an instrument that it was measured with. */
export function ofInstrument(instrument: Instrument): Partial<SampleDraft> {
  const { name, resolution, calibratedOn, calibrationDue } = instrument
  const { uncertainty, coverageFactor, uncertaintyDegrees, readingUncertainty, traceability } = instrument
  return {
    ...{ instrument: name, resolution, calibratedOn, calibrationDue },
    ...{ uncertainty, coverageFactor, uncertaintyDegrees, readingUncertainty, traceability },
  }
}
