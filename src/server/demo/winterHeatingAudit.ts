import 'server-only'
import { type ClaimDraft, EMPTY_DRAFT } from '@/core/claim/draft'

export type DemoCase = Readonly<{
  reference: string
  subject: string
  party: string
  claims: readonly ClaimDraft[]
}>

/** Net masses of 24 sacks in kg, as weighed; the eighteenth is odd. */
const SACK_MASSES = [
  15.06, 15.03, 15.02, 14.92, 14.87, 14.95, 14.97, 14.99, 14.9, 14.87, 14.92, 14.95, 14.99, 14.9, 15.02,
  15.04, 14.92, 14.52, 14.93, 14.92, 14.94, 14.96, 14.92, 14.79,
]

/** The winter heating audit of the Skerrow Fair Measures Office. The office, the island and the firms are invented. */
export const WINTER_HEATING_AUDIT: readonly DemoCase[] = [
  {
    reference: 'WH-014',
    subject: 'Brackwater pellet sacks',
    party: 'Brackwater Pelletworks',
    claims: [
      {
        ...EMPTY_DRAFT,
        source: 'label',
        wording: '15 kg net',
        quantity: 'net mass',
        relation: 'at-least',
        claimedValue: '15',
        unit: 'kg',
        readings: SACK_MASSES.map((mass) => mass.toFixed(2)).join('\n'),
      },
    ],
  },
]
