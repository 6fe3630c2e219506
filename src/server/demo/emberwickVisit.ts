import 'server-only'
import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { EMPTY_MADE } from '@/desk/madeColumn'
import { ofInstrument } from '@/desk/instrument'
import { columnNamed } from '@/desk/sampleDraft'
import { BENCH_SCALE } from './benchScale'
import type { DemoCase } from './demoCase'
import { CARBON_MONOXIDE, FLUE_TEMPERATURES, HEATED_FLATS, SACK_MASSES } from './readings'

/** A visit to a dealer: sacks taken pallet by pallet, flats before and after, stoves of a small lot, readings below what is shown. */
export const EMBERWICK_VISIT: DemoCase = {
  reference: 'WH-033',
  subject: 'Visit to the Emberwick store',
  party: 'Emberwick Heating Store',
  people: 'Inspector on duty, Skerrow Fair Measures Office',
  openedOn: '2026-03-09',
  samples: [
    {
      name: 'Sacks, two from each of twelve pallets',
      readings: SACK_MASSES.map((mass, at) => `${mass.toFixed(2)}\t${Math.floor(at / 2) + 1}`).join('\n'),
      columns: [
        { ...columnNamed('mass', 'number'), label: 'Net mass of a sack', unit: 'kg' },
        { ...columnNamed('pallet', 'number'), label: 'Pallet that it stood on' },
      ],
      drawnHow: 'two sacks from each of twelve pallets, by lot',
      drawnAtRandom: 'random',
      takenIndependently: 'not-independent',
      groupedBy: 'clusters',
      groupColumn: 'pallet',
      drawnWhen: '2026-03-09',
      drawnWhere: 'Emberwick, yard',
      drawnBy: 'inspector on duty',
      lot: 'L-0309',
      lotSize: '960',
      ...ofInstrument(BENCH_SCALE),
    },
    {
      name: 'Flats before and after, a month each',
      readings: HEATED_FLATS.map(([before, after]) => `${before}\t${after}`).join('\n'),
      columns: [
        { ...columnNamed('before', 'number'), label: 'Month without the fan', unit: 'kWh' },
        { ...columnNamed('after', 'number'), label: 'Month with it', unit: 'kWh' },
      ],
      made: [{ ...EMPTY_MADE, name: 'cut', kind: 'percent-cut', first: 'before', second: 'after' }],
      drawnHow: 'flats of the list of buyers, by lot; months of like weather',
      drawnAtRandom: 'random',
      takenIndependently: 'independent',
      drawnWhen: '2026-03-02',
    },
    {
      name: 'Flue temperature, twelve of forty stoves',
      readings: FLUE_TEMPERATURES.join('\n'),
      columns: [{ ...columnNamed('flue', 'number'), label: 'Flue temperature at full load', unit: '°C' }],
      drawnAtRandom: 'random',
      takenIndependently: 'independent',
      lotSize: '40',
      instrument: 'flue thermometer',
      resolution: '1 °C',
    },
    {
      name: 'Carbon monoxide in fifteen rooms',
      readings: CARBON_MONOXIDE.join('\n'),
      columns: [
        {
          ...columnNamed('co', 'number'),
          label: 'Carbon monoxide beside the stove',
          unit: 'ppm',
          readAs: [{ rule: 'limits', text: '' }],
        },
      ],
      drawnAtRandom: 'random',
      takenIndependently: 'independent',
      instrument: 'gas monitor, shows nothing below 0.5 ppm',
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
      column: 'mass',
    },
    {
      ...EMPTY_CLAIM,
      sample: 0,
      source: 'contract',
      wording: '95 % of the sacks hold at least 14.8 kg',
      parameter: 'proportion',
      quantity: 'sacks',
      relation: 'at-least',
      claimedValue: '95 %',
      limitSide: 'at-least',
      limitValue: '14.8',
      unit: 'kg',
      column: 'mass',
    },
    {
      ...EMPTY_CLAIM,
      sample: 1,
      source: 'advertisement',
      wording: 'cuts what you burn by at least 15 % on average',
      quantity: 'cut of the consumption',
      relation: 'at-least',
      claimedValue: '15',
      unit: '%',
      column: 'cut',
    },
    {
      ...EMPTY_CLAIM,
      sample: 2,
      source: 'data sheet',
      wording: 'flue at 160 °C on average, no more',
      quantity: 'flue temperature',
      relation: 'at-most',
      claimedValue: '160',
      unit: '°C',
      finiteLot: true,
    },
    {
      ...EMPTY_CLAIM,
      sample: 3,
      source: 'leaflet',
      wording: 'half of all rooms stay below 2 ppm',
      parameter: 'median',
      quantity: 'carbon monoxide',
      relation: 'at-most',
      claimedValue: '2',
      unit: 'ppm',
    },
  ],
}
