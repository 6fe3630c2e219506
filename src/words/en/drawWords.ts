import { type Draw, lotSizeOf } from '@/claims/plan/draw'
import { formatCount } from '../figures'

/** What is drawn, for a choice and a title: "Draw 12 of the 960 units of the lot". */
export const drawTitle = (draw: Draw, noun: string): string =>
  `Draw ${formatCount(draw.count)} of the ${formatCount(lotSizeOf(draw))} ${noun}s of the lot${'layers' in draw ? ', layer by layer' : ''}`

/** How units are numbered, and how anybody can draw the same again. */
export function drawNote(draw: Draw, noun: string): string {
  const again = `every choice as likely; the same seed gives the same ${noun}s.`
  return 'layers' in draw
    ? `As many of each layer as its part of the lot comes to, numbered from 1 within the layer, ${again}`
    : `Numbered from 1 to ${formatCount(draw.lotSize)}, ${again}`
}

/** A layer, and how many are drawn of it: "north: 15 of 400". */
export const layerTitle = (layer: string, count: number, size: number): string =>
  `${layer}: ${formatCount(count)} of ${formatCount(size)}`

/** The same draw on the command line. */
export const drawRequest = (draw: Draw): string => JSON.stringify({ draw })

export const DRAW_HEADS = ['Unit', 'Taken', 'Reading', 'Remarks'] as const
export const seedProblem = (seed: string): string =>
  `The seed is “${seed}”. Write a whole number from 0 to 999,999,999.`
export const tooManyShown = (count: number): string =>
  `${formatCount(count)} numbers are too many to show here: the list as CSV has them all.`
