import { startTestDatabase } from '@tests/database'
import { listRegister } from '@/data/register'
import { saveCase } from '../case/changeCase'
import { hasCases, readDocket } from './docket'
import { database } from '../keeping/database'
import { clearDemo, DEMO_CASES, hasDemo, layOutDemo } from './demo'

const ALL = { state: 'any', order: 'reference', direction: 'rising', page: 0, pageSize: 50 } as const

startTestDatabase()

test('the demo is laid out on an empty docket, and taken away but for what was worked on', async () => {
  expect(await hasDemo()).toBe(false)
  expect(await layOutDemo()).toMatchObject({ ok: true })
  expect(await hasDemo()).toBe(true)
  expect(await clearDemo()).toEqual({ ok: true, value: [] })
  expect(await hasCases()).toBe(false)

  await layOutDemo()
  // Once is enough for what stays on its register.
  expect(await listRegister(await database(), 'instruments')).toHaveLength(1)
  const { cases } = await readDocket(ALL)
  expect(cases).toHaveLength(DEMO_CASES)
  const touched = cases[1]!
  const words = { party: 'Another party' }
  expect(await saveCase(touched.id, { words, by: 'A. Officer' }, new Date())).toMatchObject({ ok: true })
  expect(await clearDemo()).toEqual({ ok: true, value: [touched.reference] })
  expect((await readDocket(ALL)).cases.map(({ id }) => id)).toEqual([touched.id])
  expect(await hasDemo()).toBe(false)

  // Not beside cases that are somebody's.
  await layOutDemo()
  expect((await readDocket(ALL)).total).toBe(1)
})
