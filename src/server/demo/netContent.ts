import 'server-only'
import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { columnNamed } from '@/desk/sampleDraft'
import { readSpecification } from '@/intake/specification/specification'
import type { DemoCase } from './demoCase'
import { EMPTY_SACKS, GROSS_MASSES, STOVE_TESTS, WINTER_LOTS } from './netContentReadings'

const bench = {
  drawnAtRandom: 'random',
  takenIndependently: 'independent',
  drawnBy: 'inspector on duty',
  drawnWhere: 'Brackwater, store 2',
  instrument: 'bench scale 3',
} as const
const LOTS = [
  ['November', '2025-11-18', 'L-1118'],
  ['January', '2026-01-20', 'L-0120'],
  ['February', '2026-02-24', 'L-0224'],
] as const

/** The pellet sacks controlled by the rules of the trade, and three of their lots over the winter. */
export const PELLET_CONTROL: DemoCase = {
  reference: 'WH-037',
  subject: 'Net content of the pellet sacks',
  party: 'Brackwater Pelletworks',
  people: 'Inspector on duty, Skerrow Fair Measures Office\nWeighing bench 3',
  openedOn: '2026-02-24',
  samples: [
    {
      ...bench,
      name: 'Eighty sacks, as they were weighed',
      readings: GROSS_MASSES.map((mass) => mass.toFixed(3)).join('\n'),
      columns: [{ ...columnNamed('gross', 'number'), label: 'Mass of a sack with its package', unit: 'kg' }],
      drawnHow: 'eighty sacks by random numbers from the lot’s list',
      drawnWhen: '2026-02-24',
      lot: 'L-0224',
      lotSize: '1200',
      resolution: '0.001 kg',
    },
    {
      ...bench,
      name: 'Twelve empty sacks',
      readings: EMPTY_SACKS.map((mass) => mass.toFixed(4)).join('\n'),
      columns: [{ ...columnNamed('tare', 'number'), label: 'Mass of an empty sack', unit: 'kg' }],
      drawnWhen: '2026-02-24',
      lot: 'L-0224, its packages',
    },
    ...LOTS.map(([month, drawnWhen, lot], at) => ({
      ...bench,
      name: `Twenty sacks, ${month}`,
      readings: WINTER_LOTS[at]!.map((mass) => mass.toFixed(2)).join('\n'),
      columns: [{ ...columnNamed('mass', 'number'), label: 'Net mass of a sack', unit: 'kg' }],
      ...{ drawnWhen, lot },
      resolution: '0.01 kg',
    })),
  ],
  claims: [
    {
      ...EMPTY_CLAIM,
      sample: 0,
      second: 1,
      source: 'label',
      wording: '15 kg net',
      control: 'net-content',
      quantity: 'a sack of pellets',
      claimedValue: '15',
      unit: 'kg',
      tareBy: 'packs',
    },
    {
      ...EMPTY_CLAIM,
      sample: 2,
      others: [3, 4],
      source: 'label',
      wording: '15 kg net',
      quantity: 'net mass',
      relation: 'at-least',
      claimedValue: '15',
      unit: 'kg',
    },
  ],
}

/** What the data sheet of the stove says, as the table that it is brought in from. */
export const STOVE_SPECIFICATION = `characteristic;parameter;relation;value;tolerance;unit;column
heat output;;within;7;0.2;kW;output
efficiency;;at least;81;;%;efficiency
flue temperature;;at most;165;;°C;flue
noise of the fan;;less than;42;;dB;noise
burning time of a filling;;at least;6;;h;burning
soot of a filling;;at most;0.45;;g;soot
height;;within;118;0.5;cm;height
draught;standard deviation;at most;0.5;;Pa;draught
`
const STOVE_COLUMNS = [
  ['output', 'Heat output', 'kW'],
  ['efficiency', 'Efficiency', '%'],
  ['flue', 'Flue temperature', '°C'],
  ['noise', 'Noise of the fan at 1 m', 'dB'],
  ['burning', 'Burning time of a filling', 'h'],
  ['soot', 'Soot of a filling', 'g'],
  ['height', 'Height', 'cm'],
  ['draught', 'Draught', 'Pa'],
] as const

/** A data sheet with eight characteristics, held against one sheet of ten stoves. */
export const STOVE_DATA_SHEET: DemoCase = {
  reference: 'WH-041',
  subject: 'Data sheet of the Hearthling stove',
  party: 'Skerrow Stoveworks',
  people: 'Inspector on duty, Skerrow Fair Measures Office',
  openedOn: '2026-03-03',
  samples: [
    {
      name: 'Type test, ten stoves',
      readings: STOVE_TESTS.map((row) => row.join('\t')).join('\n'),
      columns: STOVE_COLUMNS.map(([name, label, unit]) => ({ ...columnNamed(name, 'number'), label, unit })),
      drawnHow: 'ten stoves from the store, by their numbers',
      drawnAtRandom: 'random',
      takenIndependently: 'independent',
      drawnWhen: '2026-03-03',
      lotSize: '640',
    },
  ],
  claims: claimsOf(STOVE_SPECIFICATION),
}

function claimsOf(specification: string): DemoCase['claims'] {
  const read = readSpecification(
    specification,
    STOVE_COLUMNS.map(([name, label]) => ({ name, label })),
  )
  if (!read.ok) throw new Error(read.problem.message)
  return read.value.rows.map((row) => {
    if (!row.ok) throw new Error(row.problem.message)
    return { ...row.claim, sample: 0 }
  })
}
