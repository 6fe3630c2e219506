import { formatCount } from '../figures'

/** A draw of units of a lot, by a seed. */
export type Draw = Readonly<{ lotSize: number; count: number; seed: number }>

/** What is drawn, for a choice and a title: "Draw 12 of the 960 units of the lot". */
export const drawTitle = ({ count, lotSize }: Pick<Draw, 'count' | 'lotSize'>, noun: string): string =>
  `Draw ${formatCount(count)} of the ${formatCount(lotSize)} ${noun}s of the lot`

/** How units are numbered, and how anybody can draw the same again. */
export const drawNote = ({ lotSize }: Pick<Draw, 'lotSize'>, noun: string): string =>
  `Numbered from 1 to ${formatCount(lotSize)}, every choice as likely; the same seed gives the same ${noun}s.`

/** The same draw on the command line. */
export const drawRequest = (draw: Draw): string => JSON.stringify({ draw })

export const DRAW_HEADS = ['Unit', 'Taken', 'Reading', 'Remarks'] as const
export const seedProblem = (seed: string): string =>
  `The seed is “${seed}”. Write a whole number from 0 to 999,999,999.`
export const tooManyShown = (count: number): string =>
  `${formatCount(count)} numbers are too many to show here: the list as CSV has them all.`
