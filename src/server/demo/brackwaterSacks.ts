import 'server-only'
import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { columnNamed } from '@/desk/sampleDraft'
import type { DemoCase } from './demoCase'
import { BAGGING_LINES, SACK_MASSES } from './readings'

/** Sacks of wood pellets, two from each of twelve pallets, and the two lines that fill them. */
export const BRACKWATER_SACKS: DemoCase = {
  reference: 'WH-014',
  subject: 'Brackwater pellet sacks',
  party: 'Brackwater Pelletworks',
  people: 'Inspector on duty, Skerrow Fair Measures Office\nWeighing bench 3',
  notes: 'One sack was torn when it was opened; its mass is in the sample.',
  openedOn: '2026-01-13',
  dueOn: '2026-03-31',
  office: 'Skerrow Fair Measures Office\nHarbour Street 1, Skerrow',
  occasion: 'winter heating audit, after three complaints',
  authorisedBy: 'A. Tarn, head of inspections',
  samples: [
    {
      name: 'Sacks of line 2',
      readings: SACK_MASSES.map((mass) => mass.toFixed(2)).join('\n'),
      columns: [{ ...columnNamed('mass', 'number'), label: 'Net mass of a sack', unit: 'kg' }],
      drawnHow: 'two sacks from each of twelve pallets, by lot',
      drawnAtRandom: 'random',
      takenIndependently: 'not-independent',
      drawnWhen: '2026-01-14',
      drawnWhere: 'Brackwater, store 2',
      drawnBy: 'inspector on duty',
      lot: 'L-0114',
      lotSize: '960',
      receivedOn: '2026-01-14',
      itemsCondition: 'dry; one sack torn when it was opened',
      measuredOn: '2026-01-14',
      measuredWhere: 'weighing bench 3',
      environment: '18 °C, no draught',
      procedure: 'office procedure W-3, second edition',
      deviations: 'none',
      instrument: 'bench scale 3',
      resolution: '0.01 kg',
      calibratedOn: '2025-12-02',
      traceability: 'certificate 25-118 of the island’s weighing laboratory',
    },
    {
      name: 'Both bagging lines, one shift',
      readings: (['1', '2'] as const)
        .flatMap((line) => BAGGING_LINES[line].map((mass) => `${mass.toFixed(2)}\t${line}`))
        .join('\n'),
      columns: [
        { ...columnNamed('mass', 'number'), label: 'Net mass of a sack', unit: 'kg' },
        { ...columnNamed('line', 'number'), label: 'Bagging line', codes: '1 = old line\n2 = new line' },
      ],
      drawnHow: 'every twentieth sack of the shift',
      drawnAtRandom: 'random',
      takenIndependently: 'independent',
      drawnWhen: '2026-01-15',
      drawnBy: 'inspector on duty',
      instrument: 'bench scale 3',
      resolution: '0.01 kg',
      calibratedOn: '2025-12-02',
    },
  ],
  claims: [
    {
      ...EMPTY_CLAIM,
      sample: 0,
      source: 'label',
      wording: '15 kg net',
      quantity: 'net mass',
      relation: 'at-least',
      claimedValue: '15',
      unit: 'kg',
    },
    {
      ...EMPTY_CLAIM,
      sample: 1,
      source: 'contract',
      wording: 'the new line fills just as evenly',
      parameter: 'variance-ratio',
      quantity: 'net mass',
      relation: 'equal-to',
      claimedValue: '1',
      unit: 'kg',
      column: 'mass',
      kept: [[{ column: 'line', relation: 'is', value: '1', upTo: '' }]],
      secondColumn: 'mass',
      secondKept: [[{ column: 'line', relation: 'is', value: '2', upTo: '' }]],
    },
  ],
}
