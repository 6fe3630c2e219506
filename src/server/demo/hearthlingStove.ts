import 'server-only'
import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { columnNamed } from '@/desk/sampleDraft'
import type { DemoCase } from './demoCase'
import { BURNING_TIMES, FAN_NOISE } from './readings'

/** A stove of the winter heating audit: what it claims of its fan and of its fillings. */
export const HEARTHLING_STOVE: DemoCase = {
  reference: 'WH-030',
  subject: 'Hearthling stove',
  party: 'Skerrow Stoveworks',
  people: 'Inspector on duty, Skerrow Fair Measures Office',
  openedOn: '2026-02-23',
  samples: [
    {
      name: 'Noise of the fan, nine rooms',
      readings: FAN_NOISE.map((one) => one.toFixed(1)).join('\n'),
      columns: [{ ...columnNamed('noise', 'number'), label: 'Noise of the fan at 1 m', unit: 'dB' }],
      drawnAtRandom: 'random',
      takenIndependently: 'independent',
      lotSize: '400',
      instrument: 'sound level meter',
      resolution: '0.1 dB',
    },
    {
      name: 'Burning times, twenty fillings',
      readings: BURNING_TIMES.map((one) => one.toFixed(1)).join('\n'),
      columns: [{ ...columnNamed('time', 'number'), label: 'Burning time of a filling', unit: 'h' }],
      drawnAtRandom: 'random',
      takenIndependently: 'independent',
      instrument: 'clock',
    },
  ],
  claims: [
    {
      ...EMPTY_CLAIM,
      sample: 0,
      source: 'advertisement',
      wording: 'quieter than 42 dB',
      quantity: 'noise of the fan',
      relation: 'less-than',
      claimedValue: '42',
      unit: 'dB',
      knownStandardDeviation: '0.4',
    },
    {
      ...EMPTY_CLAIM,
      sample: 1,
      source: 'leaflet',
      wording: 'half of all fillings burn longer than 6 h',
      parameter: 'median',
      quantity: 'burning time',
      relation: 'more-than',
      claimedValue: '6',
      unit: 'h',
    },
  ],
}
