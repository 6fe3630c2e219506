import { drawSheet } from '@/report/drawSheet'
import { drawUnits } from '@/statistics/resampling/drawUnits'
import { drawFile } from './drawFile'

const now = new Date('2026-11-03T10:42:00Z')
const asked = (change: object, more: object = {}) => ({
  draw: JSON.stringify({ lotSize: 960, count: 30, seed: 7, ...change }),
  format: 'csv',
  ...more,
})
const LAYERS = [
  { name: '=1+1', units: 400 },
  { name: 'south, line 2', units: 560 },
]

test('the list has each unit once, in order, with room for what is measured', async () => {
  const file = await drawFile(asked({}), now)
  if (!file.ok) throw new Error(file.problem.message)
  const text = new TextDecoder().decode([...file.value.body][0])
  const units = drawUnits({ lotSize: 960, count: 30, seed: 7 })
  expect(text).toBe(['unit,reading,remarks', ...units.map((unit) => `${unit},,`), ''].join('\r\n'))
  expect(file.value.name).toBe('draw of 30 of 960, seed 7.csv')
})

test('the sheet says how it was drawn, so that anybody can draw it again', () => {
  const { parts, asOf } = drawSheet({ lotSize: 1200, count: 5, seed: 7 }, now)
  expect(asOf).toBe('seed 7')
  const [part] = parts
  expect(part!.title).toBe('Take 5 of the 1,200 units of the lot')
  const table = part!.blocks.find((block) => block.is === 'table')!
  expect(table.is === 'table' && table.rows.map(([unit]) => unit)).toEqual([
    '56',
    '381',
    '541',
    '996',
    '1,058',
  ])
  const facts = part!.blocks.find((block) => block.is === 'facts')!
  expect(facts.is === 'facts' && facts.rows.slice(0, 2)).toEqual([
    ['Seed', '7'],
    ['On the command line', '{"draw":{"lotSize":1200,"count":5,"seed":7}}'],
  ])
})

test('of layers, the list and the sheet say which', async () => {
  const draw = { layers: LAYERS, count: 5, seed: 7 }
  const file = await drawFile({ draw: JSON.stringify(draw), format: 'csv' }, now)
  if (!file.ok) throw new Error(file.problem.message)
  const lines = new TextDecoder().decode([...file.value.body][0]).split('\r\n')
  expect(lines[0]).toBe('layer,unit,reading,remarks')
  // A name that begins as a formula does is run by no spreadsheet.
  expect(lines.slice(1, -1).map((line) => line.replace(/\d+,,$/, ''))).toEqual([
    ...["'=1+1,", "'=1+1,", '"south, line 2",', '"south, line 2",', '"south, line 2",'],
  ])
  const { blocks } = drawSheet(draw, now).parts[0]!
  expect(blocks.flatMap((block) => (block.is === 'paragraph' ? [block.text] : []))).toEqual([
    'As many of each layer as its part of the lot comes to, numbered from 1 within the layer, every choice as likely; the same seed gives the same units.',
    ...['=1+1: 2 of 400', 'south, line 2: 3 of 560'],
  ])
  expect(blocks.filter((block) => block.is === 'table').map((table) => table.rows.length)).toEqual([2, 3])
})

test.each([
  ['more than there are', { count: 961 }, {}, 'out-of-range'],
  ['more than a sheet holds', { lotSize: 9000, count: 5001 }, { format: 'pdf' }, 'out-of-range'],
  ['no number', { count: 'all' }, {}, 'invalid'],
  ['half a unit', { count: 2.5 }, {}, 'invalid'],
  ['no seed', { seed: undefined }, {}, 'invalid'],
  ['a seed below 0', { seed: -1 }, {}, 'invalid'],
  ['a lot without units', { lotSize: 0 }, {}, 'invalid'],
  ['a lot and layers', { layers: LAYERS }, {}, 'invalid'],
  ['a layer twice', { lotSize: undefined, layers: [LAYERS[0], LAYERS[0]] }, {}, 'invalid'],
  ['no JSON', {}, { draw: '{' }, 'invalid'],
  ['another file', {}, { format: 'exe' }, 'invalid'],
  ['more than is asked', {}, { other: 'x' }, 'invalid'],
])('what can not be drawn is refused: %s', async (_, change, more, code) => {
  expect(await drawFile(asked(change, more), now)).toMatchObject({ ok: false, problem: { code } })
})
