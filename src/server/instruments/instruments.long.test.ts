import { startTestDatabase } from '@tests/database'
import { EMPTY_INSTRUMENT } from '@/desk/instrument'
import { instruments } from '@/data/schema'
import { readInstruments, saveInstrument } from './instruments'

const now = new Date('2026-11-03T10:42:00Z')
const later = new Date('2026-11-04T08:00:00Z')
const SCALE = { ...EMPTY_INSTRUMENT, name: 'bench scale 3', uncertainty: '0.02 kg', coverageFactor: '2' }

const database = startTestDatabase()

test('an instrument stands as it was changed last, and how it stood before is kept', async () => {
  const entered = await saveInstrument({ words: SCALE, by: 'A. Officer' }, now)
  if (!entered.ok) throw new Error(entered.problem.message)
  const { id } = entered.value
  await saveInstrument({ words: { ...EMPTY_INSTRUMENT, name: 'anemometer' } }, now)
  await saveInstrument({ id, words: { ...SCALE, uncertainty: '0.03 kg' }, by: 'B. Officer' }, later)
  expect(await readInstruments()).toEqual([
    expect.objectContaining({ name: 'anemometer', changedBy: '' }),
    { ...SCALE, uncertainty: '0.03 kg', id, changedBy: 'B. Officer', changedAt: later.toISOString() },
  ])
  const rows = await database().select().from(instruments)
  expect(rows.map(({ version }) => version).toSorted()).toEqual([1, 1, 2])
})

test.each([
  [{ words: { ...SCALE, name: ' ' } }, 'name-needed'],
  [{ words: { ...SCALE, colour: 'red' } }, 'invalid'],
  [{ words: { ...SCALE, name: 'x'.repeat(501) } }, 'invalid'],
  [{ id: 'x', words: SCALE }, 'invalid'],
  [null, 'invalid'],
])('%j is refused as %s', async (input, code) => {
  const before = await readInstruments()
  expect(await saveInstrument(input, now)).toMatchObject({ ok: false, problem: { code } })
  expect(await readInstruments()).toEqual(before)
})
