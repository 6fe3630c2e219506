import { quotientOf, type Rational, rational } from '@/statistics/numeric/rational'

/** Each in g, or in mL. */
const MASSES = { mg: 0.001, g: 1, kg: 1000 } as const
const VOLUMES = { mL: 1, ml: 1, cL: 10, cl: 10, dL: 100, dl: 100, L: 1000, l: 1000 } as const

export const MASS_UNITS = ['mg', 'g', 'kg'] as const satisfies readonly (keyof typeof MASSES)[]
/** Units that a net content is stated in. */
export const CONTENT_UNITS = [
  ...MASS_UNITS,
  ...(['mL', 'ml', 'cL', 'cl', 'dL', 'dl', 'L', 'l'] as const satisfies readonly (keyof typeof VOLUMES)[]),
] as const
export type MassUnit = (typeof MASS_UNITS)[number]
export type ContentUnit = (typeof CONTENT_UNITS)[number]

export const isVolume = (unit: ContentUnit): boolean => unit in VOLUMES

/** How many g or mL one of a unit is. */
export const inBase = (unit: ContentUnit): Rational => rational({ ...MASSES, ...VOLUMES }[unit])

/** The unit that what is weighed is in where a volume is stated and nothing else is said. */
export const usualMassUnit = (unit: ContentUnit): MassUnit => (unit.toLowerCase() === 'l' ? 'kg' : 'g')

/** What a figure in g or mL is in a unit. */
export const fromBase = (value: number, unit: ContentUnit): Rational =>
  quotientOf(rational(value), inBase(unit))
