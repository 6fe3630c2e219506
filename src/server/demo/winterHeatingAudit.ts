import 'server-only'
import { EMPTY_CLAIM } from '@/core/claim/draft'
import { columnNamed } from '@/core/sample/sampleDraft'
import { DEPOT_CODES, deliveryLog } from './deliveryLog'
import type { DemoCase } from './demoCase'
import { HEARTHLING_STOVE } from './hearthlingStove'
import { BAGGING_LINES, ROOM_TEMPERATURES, SACK_MASSES } from './readings'

/** The winter heating audit of the Skerrow Fair Measures Office. The office, the island and the firms are invented. */
export const WINTER_HEATING_AUDIT: readonly DemoCase[] = [
  {
    reference: 'WH-014',
    subject: 'Brackwater pellet sacks',
    party: 'Brackwater Pelletworks',
    samples: [
      {
        name: 'Sacks of line 2',
        readings: SACK_MASSES.map((mass) => mass.toFixed(2)).join('\n'),
        columns: [{ ...columnNamed('mass', 'number'), label: 'Net mass of a sack', unit: 'kg' }],
        drawnHow: 'two sacks from each of twelve pallets, by lot',
        drawnAtRandom: 'random',
        drawnWhen: '2026-01-14',
        drawnWhere: 'Brackwater, store 2',
        drawnBy: 'inspector on duty',
        lot: 'L-0114',
        lotSize: '960',
        instrument: 'bench scale 3',
        resolution: '0.01 kg',
        calibratedOn: '2025-12-02',
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
  },
  {
    reference: 'WH-017',
    subject: 'Deliveries of the winter',
    party: 'Brackwater Pelletworks',
    samples: [
      {
        name: 'Delivery log, November to February',
        file: {
          name: 'deliveries.csv',
          bytes: deliveryLog,
          labels: {
            delivery: { label: 'Number of the delivery' },
            day: { label: 'Day of the order' },
            depot: { label: 'Depot that delivered', codes: DEPOT_CODES },
            hours: { label: 'From order to delivery', unit: 'h' },
            sacks: { label: 'Sacks delivered' },
            signed: { label: 'Signed for by the customer' },
          },
        },
        drawnHow: 'the whole log, as the party handed it in',
        drawnAtRandom: 'not-random',
        drawnWhen: '2026-03-02',
      },
      {
        name: 'Deliveries within two days, telephone survey',
        kind: 'count',
        count: '186 of 200',
        drawnHow: 'customers called from the list of buyers, every fiftieth',
        drawnAtRandom: 'random',
      },
    ],
    claims: [
      {
        ...EMPTY_CLAIM,
        sample: 0,
        source: 'advertisement',
        wording: 'with you in two days',
        quantity: 'delivery time',
        relation: 'at-most',
        claimedValue: '2',
        unit: 'd',
        column: 'hours',
        kept: [[{ column: 'depot', relation: 'is', value: '7', upTo: '' }]],
      },
      {
        ...EMPTY_CLAIM,
        sample: 1,
        source: 'advertisement',
        wording: '95 of 100 deliveries arrive within two days',
        parameter: 'proportion',
        quantity: 'deliveries within two days',
        relation: 'at-least',
        claimedValue: '95 %',
      },
    ],
  },
  {
    reference: 'WH-021',
    subject: 'Room thermostats',
    party: 'Tarn Controls',
    samples: [
      {
        name: 'Sixteen rooms, set to 21 °C',
        readings: ROOM_TEMPERATURES.map((one) => one.toFixed(1)).join('\n'),
        columns: [
          { ...columnNamed('temperature', 'number'), label: 'Room temperature after two hours', unit: '°C' },
        ],
        drawnAtRandom: 'random',
        instrument: 'reference thermometer',
        resolution: '0.1 °C',
      },
    ],
    claims: [
      {
        ...EMPTY_CLAIM,
        sample: 0,
        source: 'leaflet',
        wording: 'holds the temperature that you set',
        quantity: 'room temperature',
        relation: 'equal-to',
        claimedValue: '21',
        unit: '°C',
      },
      {
        ...EMPTY_CLAIM,
        sample: 0,
        source: 'data sheet',
        wording: 'vary by no more than 0.30 °C',
        parameter: 'standard-deviation',
        quantity: 'room temperature',
        relation: 'at-most',
        claimedValue: '0.30',
        unit: '°C',
      },
    ],
  },
  {
    reference: 'WH-026',
    subject: 'Moisture of the pellets',
    party: 'Brackwater Pelletworks',
    samples: [
      {
        name: 'Laboratory report, forty sacks',
        kind: 'summary',
        sampleSize: '40',
        mean: '7.62',
        spread: '0.91',
        columns: [{ ...columnNamed('moisture', 'number'), label: 'Moisture of a sack', unit: '%' }],
        drawnBy: 'the laboratory',
      },
    ],
    claims: [
      {
        ...EMPTY_CLAIM,
        sample: 0,
        source: 'data sheet',
        wording: 'never above 8 % on average',
        quantity: 'moisture',
        relation: 'at-most',
        claimedValue: '8',
        unit: '%',
      },
      {
        ...EMPTY_CLAIM,
        sample: 0,
        source: 'contract',
        wording: 'variance of the moisture at most 0.64',
        parameter: 'variance',
        quantity: 'moisture',
        relation: 'at-most',
        claimedValue: '0.64',
        unit: '%',
      },
    ],
  },
  HEARTHLING_STOVE,
]
