import type { SampleDraft } from '@/desk/sampleDraft'
import { madeWords } from '@/words/en/madeWords'
import { linesOf } from '../saving/linesOf'
import type { VersionLine } from '../saving/versions'

const NAMES: Readonly<Record<keyof SampleDraft, string>> = {
  name: 'Name of the sample',
  kind: 'How it is given',
  readings: 'Readings',
  decimalMark: 'Decimal mark',
  columns: 'Columns',
  setAside: 'Set aside',
  made: 'Columns made of columns',
  sampleSize: 'Number of readings',
  mean: 'Mean',
  spread: 'Spread',
  spreadIs: 'Kind of spread',
  count: 'Count',
  events: 'Events',
  exposure: 'Exposure',
  drawnHow: 'How it was drawn',
  drawnAtRandom: 'Drawn at random',
  takenIndependently: 'One by one or in groups',
  groupedBy: 'Clusters or layers',
  groupColumn: 'Column of the clusters or layers',
  clustersInLot: 'Clusters in the lot',
  strataSizes: 'Sizes of the layers',
  drawnWhen: 'When it was drawn',
  drawnWhere: 'Where it was drawn',
  drawnBy: 'Who drew it',
  receivedOn: 'Received on',
  itemsCondition: 'Condition of the items',
  measuredOn: 'Measured on',
  measuredWhere: 'Measured at',
  environment: 'Environment',
  procedure: 'Procedure of measuring',
  deviations: 'Deviations',
  fromOthers: 'Results of others',
  lot: 'Lot',
  lotSize: 'Size of the lot',
  instrument: 'Instrument',
  resolution: 'Resolution',
  calibratedOn: 'Calibrated on',
  calibrationDue: 'Calibration due',
  uncertainty: 'Expanded uncertainty',
  coverageFactor: 'Coverage factor',
  uncertaintyDegrees: 'Degrees of freedom of the uncertainty',
  readingUncertainty: 'Uncertainty of one reading',
  traceability: 'Certificate and traceability',
  isDiscarded: 'Discarded',
}

/** A sample in words, a line a field. */
export function sampleVersion(draft: SampleDraft): readonly VersionLine[] {
  return linesOf(draft, NAMES, {
    columns: (columns) =>
      columns
        .map(({ name, label, unit, codes }) =>
          [name, label, unit, codes.replaceAll('\n', '; ')].filter(Boolean).join(', '),
        )
        .join(' | '),
    made: (made) => made.map(madeWords).join(' | '),
    setAside: (rows) => rows.map(({ row, reason, by }) => `row ${row + 1}, ${by}: ${reason}`).join(' | '),
  })
}
