import * as z from 'zod/mini'
import { allotted } from '@/statistics/resampling/allotted'
import { randomWords } from '@/statistics/numeric/random'
import { unitsDrawnBy } from '@/statistics/resampling/drawUnits'
import { MAX_UNITS } from '../terms/request'

/** More are no draw that anybody takes along. */
export const MAX_DRAWN = 1_000_000
const MAX_LAYERS = 1000
const size = z.int().check(z.positive(), z.maximum(MAX_UNITS))
const common = {
  count: z.int().check(z.positive(), z.maximum(MAX_DRAWN)),
  seed: z.int().check(z.nonnegative()),
}

/** Units to be drawn of a lot, or of each of its layers, by a seed that anybody can draw them by again. */
export const drawSchema = z.union([
  z.strictObject({ lotSize: size, ...common }),
  z.strictObject({
    layers: z
      .readonly(
        z
          .array(z.strictObject({ name: z.string().check(z.minLength(1)), units: size }))
          .check(z.minLength(1), z.maxLength(MAX_LAYERS)),
      )
      .check(
        z.refine(
          (layers) => new Set(layers.map(({ name }) => name)).size === layers.length,
          'each name once',
        ),
      ),
    ...common,
  }),
])
export type Draw = Readonly<z.output<typeof drawSchema>>

/** The units drawn of the lot, or of a layer of it, numbered from 1 within it; rising. */
export type Drawn = Readonly<{ layer?: string; size: number; units: readonly number[] }>

export const lotSizeOf = (draw: Draw): number =>
  'lotSize' in draw ? draw.lotSize : draw.layers.reduce((sum, { units }) => sum + units, 0)

/** The units that are drawn, each as it is called: of layers with its layer's name. */
export const unitsNamed = (draw: Draw): readonly string[] =>
  drawnOf(draw).flatMap(({ layer, units }) =>
    units.map((unit) => (layer === undefined ? String(unit) : `${layer} ${unit}`)),
  )

/**
 * The units that a seed draws: of layers, as many of each as its part of the lot comes to.
 *
 * @param draw - of no more units than there are
 * @example
 * drawnOf({ layers: [{ name: 'north', units: 8 }, { name: 'south', units: 4 }], count: 3, seed: 1 })
 * // [{ layer: 'north', size: 8, units: [2, 5] }, { layer: 'south', size: 4, units: [3] }]
 */
export function drawnOf(draw: Draw): readonly Drawn[] {
  const { count, seed } = draw
  const words = randomWords(seed)
  if ('lotSize' in draw) return [{ size: draw.lotSize, units: unitsDrawnBy(words, draw) }]
  const counts = allotted(
    draw.layers.map(({ units }) => units),
    count,
  )
  return draw.layers.map(({ name, units }, at) => ({
    layer: name,
    size: units,
    // Each goes on where the one before it stopped.
    units: unitsDrawnBy(words, { lotSize: units, count: counts[at]! }),
  }))
}
