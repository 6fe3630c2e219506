import { drawnOf, drawSchema, lotSizeOf, unitsNamed } from './draw'

const LAYERS = [
  { name: 'north', units: 400 },
  { name: 'south', units: 560 },
]

test('of each layer as many as its part of the lot comes to, by one seed', () => {
  // Drawn anew by a program of its own in Python.
  expect(drawnOf({ layers: LAYERS, count: 35, seed: 7 })).toEqual([
    {
      ...{ layer: 'north', size: 400 },
      units: [35, 77, 91, 110, 118, 124, 141, 142, 221, 257, 260, 266, 312, 389, 396],
    },
    {
      ...{ layer: 'south', size: 560 },
      units: [22, 38, 39, 40, 52, 60, 203, 254, 280, 281, 296, 302, 348, 374, 390, 451, 456, 459, 490, 518],
    },
  ])
  expect(drawnOf({ lotSize: 1200, count: 5, seed: 7 })).toEqual([
    { size: 1200, units: [56, 381, 541, 996, 1058] },
  ])
  expect(lotSizeOf({ layers: LAYERS, count: 35, seed: 7 })).toBe(960)
})

test('a layer that is too small for a unit has none, and the whole lot can be drawn', () => {
  const small = [...LAYERS, { name: 'shop', units: 3 }]
  expect(drawnOf({ layers: small, count: 10, seed: 1 }).map(({ units }) => units.length)).toEqual([4, 6, 0])
  expect(drawnOf({ layers: small, count: 963, seed: 1 }).map(({ units }) => units.length)).toEqual([
    400, 560, 3,
  ])
})

test('a unit of a layer is called by the layer and its number within it', () => {
  const small = LAYERS.map(({ name }) => ({ name, units: 2 }))
  expect(unitsNamed({ layers: small, count: 4, seed: 1 })).toEqual([
    'north 1',
    'north 2',
    'south 1',
    'south 2',
  ])
  expect(unitsNamed({ lotSize: 2, count: 2, seed: 1 })).toEqual(['1', '2'])
})

test.each([
  ['no layer', { layers: [] }],
  ['a layer without a name', { layers: [{ name: '', units: 3 }] }],
  ['a layer twice', { layers: [LAYERS[0], LAYERS[0]] }],
  ['a layer without units', { layers: [{ name: 'north', units: 0 }] }],
  ['a lot beside layers', { layers: LAYERS, lotSize: 960 }],
])('is no draw: %s', (_, change) => {
  expect(drawSchema.safeParse({ count: 5, seed: 1, ...change }).success).toBe(false)
  expect(drawSchema.safeParse({ count: 5, seed: 1, layers: LAYERS }).success).toBe(true)
})
