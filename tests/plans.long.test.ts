import { spawnSync } from 'node:child_process'
import path from 'node:path'
import { methodOf, methodsFor } from '@/claims/all'
import { PLANNED_METHODS } from '@/claims/plan/planRequest'
import { type Parameter, PARAMETERS } from '@/claims/terms/names'
import { RELATIONS } from '@/claims/terms/relations'
import {
  EMPTY_PLAN,
  EMPTY_PLAN_CLAIM,
  PLAN_WANTED,
  type PlanClaim,
  type PlanDraft,
  planDraftOf,
  addressOfPlan,
} from '@/desk/planDraft'
import { assumedAt } from '@/claims/plan/gap'
import { randomWords } from '@/statistics/numeric/random'
import { type Found, planning, powerToFind } from '@/workers/planning'

// What the planner's page shows of a plan is what the command line answers of it: 1,000 plans drawn at random.

const COUNT = 1000
const words = randomWords(20261128)
const word = new Uint32Array(1)
const below = (limit: number) => {
  words(word)
  return word[0]! % limit
}
const oneOf = <T>(list: readonly T[]): T => list[below(list.length)]!

const VALUES: Readonly<Record<Parameter, readonly [string, string]>> = {
  mean: ['15', '0.1'],
  median: ['15', '0.2'],
  'standard-deviation': ['0.3', '0.15'],
  variance: ['0.09', '0.08'],
  proportion: ['90 %', '8 %'],
  'variance-ratio': ['1', '1.5'],
  rate: ['2', '1.2'],
}

function randomPlan(): PlanDraft {
  const parameter = oneOf(PARAMETERS)
  const [claimedValue, gap] = VALUES[parameter]
  const methods = methodsFor(parameter).filter(
    (name) => PLANNED_METHODS.includes(name) && !methodOf(name).needs.includes('limit'),
  )
  const claim: PlanClaim = {
    ...EMPTY_PLAN_CLAIM,
    ...{ parameter, claimedValue, gap: oneOf([gap, gap, '0']), relation: oneOf(RELATIONS) },
    ...{ toleranceBelow: '0.2', toleranceAbove: '0.3', exposureUnit: 'hour', unit: 'kg' },
    burden: oneOf([null, null, 'challenge', 'substantiate']),
    significanceLevel: oneOf(['5 %', '0.01', '10 %']),
    method: oneOf(['auto', 'auto', ...methods]),
    power: oneOf(['80 %', '0.9', '95 %']),
    scatter: oneOf(['0.18', '0.3']),
  }
  return {
    ...EMPTY_PLAN,
    claims: [claim],
    wanted: oneOf(PLAN_WANTED),
    units: String(2 + below(120)),
    lotSize: oneOf(['', '', '150', '960']),
  }
}

const plans = Array.from({ length: COUNT }, randomPlan)
const worked = plans.map((draft) => ({ draft, plan: planning(draft).claims[0]! }))
const found = worked.flatMap(({ draft, plan }) => (plan.found ? [{ draft, found: plan.found }] : []))

/** The same of each true value, asked by hand. */
function asked({ draft, found: one }: (typeof found)[number]) {
  const { claim, truths, n } = one
  const { plan } = one.request as Readonly<{ plan: Readonly<{ assume: object }> }>
  const at = (truth: number, question: object) => ({
    plan: {
      ...plan,
      find: undefined,
      power: undefined,
      n: undefined,
      assume: { ...plan.assume, ...assumedAt(claim, truth) },
      ...question,
    },
  })
  const power = Number.parseFloat(draft.claims[0]!.power) / (draft.claims[0]!.power.includes('%') ? 100 : 1)
  return [
    one.request,
    ...truths.map((truth) => at(truth, { find: 'power', n })),
    ...truths.map((truth) => at(truth, { find: 'n', power })),
  ]
}

function commandLine(documents: readonly unknown[]): readonly Readonly<Record<string, unknown>>[] {
  const binary = path.join(process.cwd(), 'bin/true-weight')
  const input = documents.map((one) => `${JSON.stringify(one)}\n`).join('')
  const { stdout } = spawnSync(binary, ['check', '-'], { input, encoding: 'utf8', maxBuffer: 1 << 28 })
  return stdout
    .split('\n')
    .filter(Boolean)
    .map((line) => JSON.parse(line) as Readonly<Record<string, unknown>>)
}

test('most plans can be worked out, of every parameter, and what can not says why', () => {
  expect(found.length).toBeGreaterThan(COUNT / 2)
  expect(new Set(found.map((one) => one.found.claim.parameter)).size).toBe(PARAMETERS.length)
  expect(new Set(found.map((one) => one.found.method)).size).toBeGreaterThan(8)
  const silent = worked.filter(
    ({ plan }) => !plan.found && !plan.problem && plan.read.missing.length + plan.read.problems.length === 0,
  )
  expect(silent.map(({ draft }) => draft)).toEqual([])
})

test('every figure of the planner is the command line’s', () => {
  const questions = found.map(asked)
  const answers = commandLine(questions.flat())
  expect(answers).toHaveLength(questions.flat().length)
  let at = 0
  for (const [place, { draft, found: one }] of found.entries()) {
    const own = answers
      .slice(at, (at += questions[place]!.length))
      .map(
        (answer) =>
          (answer.ok ? answer.plan : undefined) as
            Readonly<{ n: number; power: number; difference: number; method: string }> | undefined,
      )
    const [first, ...others] = own
    const powers = others.slice(0, one.truths.length).map((answer) => answer!.power)
    expect(first!.method).toBe(one.method)
    expect(one.n).toBe(
      draft.wanted === 'units'
        ? Math.max(...others.slice(one.truths.length).map((answer) => answer!.n))
        : Number(draft.units),
    )
    if (draft.wanted === 'gap') expect(one.gap).toBe(first!.difference)
    else expect(one.power).toBe(Math.min(...powers))
    if (draft.wanted !== 'gap') expect(powerToFind(one, one.gap, one.n)).toBe(one.power)
  }
})

test('the units reach the power, and one unit less does not for what is measured', () => {
  const sized = found.filter(({ draft }) => draft.wanted === 'units')
  const short = sized.filter(({ found: one }) => one.power < wantedOf(one))
  expect(short.map(({ draft }) => draft)).toEqual([])
  const measured = sized.filter(({ found: one }) => methodOf(one.method).planning!.sizes === undefined)
  for (const { found: one } of measured) {
    const fewer = powerToFind(one, one.gap, one.n - 1)
    if (fewer !== undefined) expect(fewer).toBeLessThan(wantedOf(one))
  }
})

const wantedOf = ({ request }: Found) => (request.plan as Readonly<{ power: number }>).power

test('the address of a plan finds it again', () => {
  for (const { draft } of worked.slice(0, 200)) {
    const two = { ...draft, claims: [...draft.claims, plans[0]!.claims[0]!] }
    for (const one of [draft, two])
      expect(
        planDraftOf(Object.fromEntries(new URL(addressOfPlan(one), 'http://desk').searchParams)),
      ).toEqual(one)
  }
})
