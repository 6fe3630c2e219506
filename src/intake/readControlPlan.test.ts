import { R87 } from '@/claims/terms/controlPlan'
import { readPlanJson, readPlanTexts, textsOfPlan } from './readControlPlan'

const TEXTS = textsOfPlan(R87)
const why = (change: Partial<typeof TEXTS>) => {
  const read = readPlanTexts({ ...TEXTS, ...change })
  return read.ok ? 'read' : `${read.problem.path}: ${read.problem.message}`
}

test('a plan that is written out and read again is the same, as texts and as JSON', () => {
  expect(readPlanTexts(TEXTS)).toEqual({ ok: true, value: R87 })
  expect(readPlanJson(JSON.stringify(R87))).toEqual({ ok: true, value: R87 })
})

test.each([
  [{ sampling: '100 to 500: fifty, 3' }, /^sampling: “100 to 500: fifty, 3” can’t be read/],
  [{ sampling: '100 to 500: 50' }, /^sampling: /],
  [{ sampling: '1.2.3 to 500: 50, 3' }, /^sampling: /],
  [{ sampling: '' }, /^sampling: /],
  [{ sampling: '10 to 500: 50, 3' }, /The plan takes 50 packs of a lot that may have only 10/],
  [{ sampling: '100.5 to 500: 50, 3' }, /sampling\[0\]\.from/],
  [{ deficiencies: 'up to 50 grams: 9 %' }, /^deficiencies: “up to 50 grams: 9 %” can’t be read/],
  [{ deficiencies: 'up to 50: 90 %' }, /deficiencies\[0\]\.percent/],
  [{ deficiencies: 'up to 50: 9 %\nup to 40: 4' }, /rows of the plan have to rise: 40 stands behind 50/],
  [{ rounding: 'up to 1000' }, /^rounding: /],
  [{ averageLevel: '0.6' }, /averageLevel/],
  [{ averageLevel: 'half' }, /^averageLevel: “half” is no level/],
  [{ otherwiseShare: '2' }, /^otherwiseShare: “2” is no level or share/],
  [{ name: ' ' }, /name/],
])('%j is refused', (change, reason) => {
  expect(why(change)).toMatch(reason)
})

test('rows without rounding are a plan that does not round', () => {
  expect(readPlanTexts({ ...TEXTS, rounding: '' })).toMatchObject({ ok: true, value: { rounding: [] } })
})

test('a file that is no plan is refused', () => {
  expect(readPlanJson('no')).toMatchObject({ ok: false, problem: { code: 'not-json' } })
  expect(readPlanJson('{"name":"x"}')).toMatchObject({ ok: false })
  expect(readPlanJson(JSON.stringify({ ...R87, extra: 1 }))).toMatchObject({
    ok: false,
    problem: { code: 'unknown-field' },
  })
  expect(readPlanJson(JSON.stringify({ ...R87, sampling: [{ from: 1, n: 1, allowed: 1 }] }))).toMatchObject({
    ok: false,
    problem: { code: 'control-plan' },
  })
})
