import { startTestDatabase } from '@tests/database'
import { R87 } from '@/claims/terms/controlPlan'
import { controlPlans } from '@/data/schema'
import { readControlPlans, saveControlPlan } from './controlPlans'

const now = new Date('2026-11-03T10:42:00Z')
const later = new Date('2026-11-04T08:00:00Z')
const OWN = { plan: { ...R87, name: 'office rule', isFromMemory: false }, isRetired: false }

const database = startTestDatabase()

test('a plan stands as it was changed last, how it stood before is kept, and no two have one name', async () => {
  const entered = await saveControlPlan({ words: OWN, by: 'A. Officer' }, now)
  if (!entered.ok) throw new Error(entered.problem.message)
  const { id } = entered.value
  expect(await saveControlPlan({ words: OWN }, now)).toMatchObject({
    ok: false,
    problem: { code: 'name-taken' },
  })
  for (const name of [R87.name, ` ${OWN.plan.name.toUpperCase()}`])
    expect(await saveControlPlan({ words: { ...OWN, plan: { ...OWN.plan, name } } }, now)).toMatchObject({
      problem: { code: 'name-taken' },
    })
  const changed = { ...OWN, plan: { ...OWN.plan, averageLevel: 0.01 }, isRetired: true }
  expect(await saveControlPlan({ id, words: changed, by: 'B. Officer' }, later)).toEqual({
    ok: true,
    value: { id },
  })
  expect(await readControlPlans()).toEqual([
    { ...changed, id, changedBy: 'B. Officer', changedAt: later.toISOString() },
  ])
  const rows = await database().select().from(controlPlans)
  expect(rows.map(({ version }) => version).toSorted()).toEqual([1, 2])
})

test.each([
  [{ words: { ...OWN, plan: { ...OWN.plan, name: ' ' } } }, 'invalid'],
  [
    { words: { ...OWN, plan: { ...OWN.plan, name: 'x', sampling: [{ from: 5, n: 9, allowed: 0 }] } } },
    'control-plan',
  ],
  [{ words: { ...OWN, colour: 'red' } }, 'invalid'],
  [{ id: 'x', words: OWN }, 'invalid'],
  [null, 'invalid'],
])('%j is refused as %s', async (input, code) => {
  const before = await readControlPlans()
  expect(await saveControlPlan(input, now)).toMatchObject({ ok: false, problem: { code } })
  expect(await readControlPlans()).toEqual(before)
})
