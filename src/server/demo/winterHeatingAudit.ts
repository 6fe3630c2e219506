import 'server-only'
import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { columnNamed } from '@/desk/sampleDraft'
import { BRACKWATER_SACKS } from './brackwaterSacks'
import { DEPOT_CODES, deliveryLog } from './deliveryLog'
import type { DemoCase } from './demoCase'
import { EMBERWICK_VISIT } from './emberwickVisit'
import { PELLET_CONTROL, STOVE_DATA_SHEET } from './netContent'
import { HEARTHLING_STOVE } from './hearthlingStove'
import { ROOM_TEMPERATURES } from './readings'

/** The winter heating audit of the Skerrow Fair Measures Office. The office, the island and the firms are invented. */
export const WINTER_HEATING_AUDIT: readonly DemoCase[] = [
  BRACKWATER_SACKS,
  {
    reference: 'WH-017',
    subject: 'Deliveries of the winter',
    party: 'Brackwater Pelletworks',
    people: 'Inspector on duty, Skerrow Fair Measures Office\nDepot clerk, Brackwater Pelletworks',
    openedOn: '2026-03-02',
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
        takenIndependently: 'independent',
      },
      {
        name: 'Complaints register, January',
        kind: 'events',
        events: '41',
        exposure: '12400',
        drawnHow: 'every complaint of the month; deliveries by the log',
        drawnWhen: '2026-03-02',
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
      {
        ...EMPTY_CLAIM,
        sample: 2,
        source: 'advertisement',
        wording: 'no more than 2 complaints per 1,000 deliveries',
        parameter: 'rate',
        quantity: 'complaints',
        relation: 'at-most',
        claimedValue: '2',
        exposureUnit: '1,000 deliveries',
      },
      {
        ...EMPTY_CLAIM,
        sample: 0,
        source: 'advertisement',
        wording: 'with you in two days, wherever you live',
        quantity: 'delivery time',
        relation: 'at-most',
        claimedValue: '2',
        unit: 'd',
        column: 'hours',
        groupsBy: 'depot',
      },
    ],
  },
  {
    reference: 'WH-021',
    subject: 'Room thermostats',
    party: 'Tarn Controls',
    people: 'Inspector on duty, Skerrow Fair Measures Office',
    openedOn: '2026-02-09',
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
    people: 'Inspector on duty, Skerrow Fair Measures Office',
    notes: 'Only the laboratory’s summary figures are known.',
    openedOn: '2026-02-16',
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
  EMBERWICK_VISIT,
  PELLET_CONTROL,
  STOVE_DATA_SHEET,
]
