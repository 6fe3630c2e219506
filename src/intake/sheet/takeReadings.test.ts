import fc from 'fast-check'
import { readRowConditions } from '../rowCondition'
import { readSheet, type Sheet } from './readSheet'
import { takeReadings, viewOf } from './takeReadings'

async function sheetOf(text: string): Promise<Sheet> {
  const sheet = await readSheet({
    source: () => [new TextEncoder().encode(text)],
    format: { separator: ',', encoding: 'utf-8', decimalMark: 'point', header: 'first-row' },
  })
  if (!sheet.ok) throw new Error(sheet.problem.message)
  return sheet.value
}

const LOG = 'depot,mass,shift,late\n7,14.93,north,no\n8,15.02,south,\n7,,north,yes\n9,14.8,,no\n'

test.each([
  ['', [14.93, 15.02, 14.8]],
  ['depot = 7', [14.93]],
  ['depot != 7', [15.02, 14.8]],
  ['depot >= 8 and mass < 15', [14.8]],
  ['shift = north', [14.93]],
  ['shift != north', [15.02, 14.8]],
  ['late = ', [15.02]],
  ['mass > 14.9', [14.93, 15.02]],
])('the masses of the rows where “%s”', async (where, expected) => {
  expect(takeReadings(await sheetOf(LOG), { column: 'mass', where })).toEqual({ ok: true, value: expected })
})

test.each([
  ['mass', 'depot', 'condition-not-read', /depot = 7/],
  ['mass', 'shift < north', 'condition-not-read', /a number/],
  ['mass', 'line = 3', 'column-not-found', /“line”.*depot, mass, shift, late/],
  ['shift', '', 'column-not-found', /“shift” of numbers/],
])('%s where “%s” is refused', async (column, where, code, message) => {
  const taken = takeReadings(await sheetOf(LOG), { column, where })
  expect(taken).toMatchObject({ ok: false, problem: { code } })
  expect(!taken.ok && taken.problem.message).toMatch(message)
})

test('a sheet is shown by its first rows and what is missing', async () => {
  const view = viewOf(await sheetOf(LOG))
  expect(view.rowCount).toBe(4)
  expect(view.columns[1]).toEqual({ name: 'mass', kind: 'number', missing: 1 })
  expect(view.rows[1]).toEqual(['8', '15.02', 'south', ''])
})

test('a row is kept by exactly one of a condition and its contrary', () => {
  const contrary = { '=': '!=', '<': '>=', '>': '<=' } as const
  fc.assert(
    fc.property(
      fc.constantFrom('=', '<', '>'),
      fc.integer({ min: -5, max: 5 }),
      fc.integer({ min: -5, max: 5 }),
      (sign, limit, value) => {
        const holds = (one: string) => {
          const conditions = readRowConditions(`x ${one} ${limit}`)
          return conditions.ok && conditions.value[0]!.holdsNumber(value)
        }
        expect(holds(sign)).toBe(!holds(contrary[sign as '=']))
      },
    ),
  )
})
