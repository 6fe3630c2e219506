import { drawSheet } from '@/report/drawSheet'
import { drawUnits } from '@/statistics/resampling/drawUnits'
import { drawFile } from './drawFile'

const now = new Date('2026-11-03T10:42:00Z')
const DRAW = { lotSize: '960', count: '30', seed: '7', format: 'csv' }

test('the list has each unit once, in order, with room for what is measured', async () => {
  const file = await drawFile(DRAW, now)
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

test.each([
  ['more than there are', { count: '961' }, 'out-of-range'],
  ['more than a sheet holds', { lotSize: '9000', count: '5001', format: 'pdf' }, 'out-of-range'],
  ['no number', { count: 'all' }, 'invalid'],
  ['half a unit', { count: '2.5' }, 'invalid'],
  ['no seed', { seed: undefined }, 'invalid'],
  ['a seed below 0', { seed: '-1' }, 'invalid'],
  ['an empty seed', { seed: '' }, 'invalid'],
  ['two sizes', { lotSize: '960 20' }, 'invalid'],
  ['another way to write numbers', { lotSize: '0x10' }, 'invalid'],
  ['a lot without units', { lotSize: '0' }, 'invalid'],
  ['another file', { format: 'exe' }, 'invalid'],
  ['more than is asked', { other: 'x' }, 'invalid'],
])('what can not be drawn is refused: %s', async (_, change, code) => {
  expect(await drawFile({ ...DRAW, ...change }, now)).toMatchObject({ ok: false, problem: { code } })
})
