import { groups } from '@/answers/groups'
import { adjustPValues } from '@/statistics/adjust/adjust'
import { readReference } from '@tests/reference/reference'
import type { GroupsDocument } from './groupsRequest'

type Group = Readonly<{
  group: string
  data?: readonly string[]
  successes?: string
  events?: string
  exposure?: string
  n?: string
  tested: boolean
  estimate?: string
  interval?: readonly [string | null, string | null]
  p?: string
  p_holm?: string
  p_bh?: string
  rejected?: boolean
  rejected_holm?: boolean
  rejected_bh?: boolean
}>
type Claim = Readonly<{
  id: string
  parameter: 'mean' | 'proportion' | 'standard-deviation' | 'rate'
  method: 't' | 'exact-binomial' | 'chi-square' | 'exact-poisson'
  value: string
  alternative: 'less' | 'greater' | 'two-sided'
  alpha: string
  level: string
  tested_together: string
  groups: readonly Group[]
}>
// mpmath at 55 digits: see tests/reference/SOURCES.md. Holm (1979); Benjamini & Hochberg (1995).
const reference = readReference<{
  claims: readonly Claim[]
  adjust: readonly Readonly<{
    id: string
    p: readonly string[]
    holm: readonly string[]
    bh: readonly string[]
  }>[]
}>('groups.json')

const RELATIONS = { less: 'at-least', greater: 'at-most', 'two-sided': 'equal-to' } as const

/** The rows that a group's figures come from. */
function rowsOf({ data, successes, n, events }: Group): readonly (number | null)[] {
  if (data) return data.map(Number)
  if (events !== undefined) return [Number(events)]
  const marks = Array.from({ length: Number(n) }, (_, at) => (at < Number(successes) ? 1 : 0))
  return marks.length === 0 ? [null] : marks
}

function documentOf(claim: Claim, adjust: 'holm' | 'benjamini-hochberg'): GroupsDocument {
  const rows = claim.groups.map((group) => ({
    label: group.group,
    values: rowsOf(group),
    exposure: group.exposure,
  }))
  return {
    groups: {
      claim: {
        parameter: claim.parameter,
        relation: RELATIONS[claim.alternative],
        value: Number(claim.value),
      },
      test: {
        method: claim.method,
        significanceLevel: Number(claim.alpha),
        confidenceLevel: Number(claim.level),
        intervalSides:
          claim.alternative === 'two-sided' ? 'two-sided' : claim.alternative === 'less' ? 'upper' : 'lower',
        ...(claim.alternative === 'two-sided' &&
        claim.parameter !== 'standard-deviation' &&
        claim.parameter !== 'mean'
          ? { twoSidedRule: 'minimum-likelihood' as const }
          : {}),
      },
      values: rows.flatMap(({ values }) => values),
      labels: rows.flatMap(({ label, values }) => values.map(() => label)),
      ...(claim.parameter === 'rate' ? { exposures: rows.map(({ exposure }) => Number(exposure)) } : {}),
      adjust,
    },
  }
}

const near = (value: number | undefined, expected: string, tolerance: number) =>
  expect(Math.abs(value! / Number(expected) - 1)).toBeLessThanOrEqual(tolerance)

test.each(reference.claims.map((claim) => [claim.id, claim] as const))('group by group: %s', (_, claim) => {
  for (const adjust of ['holm', 'benjamini-hochberg'] as const) {
    const answered = groups(documentOf(claim, adjust))
    if (!answered.ok) throw new Error(answered.error.message)
    const tested = answered.groups.filter(({ pValue }) => pValue !== undefined)
    expect(tested).toHaveLength(Number(claim.tested_together))
    for (const expected of claim.groups) {
      const found = answered.groups.find(({ label }) => label === expected.group)!
      expect(found.why === undefined).toBe(expected.tested)
      if (!expected.tested) {
        expect(found.outcome).toBeUndefined()
        continue
      }
      near(found.estimate, expected.estimate!, 1e-11)
      near(found.pValue, expected.p!, 1e-11)
      near(found.adjusted, adjust === 'holm' ? expected.p_holm! : expected.p_bh!, 1e-11)
      const [lower, upper] = expected.interval!
      for (const [end, known] of [
        [found.interval?.lower, lower],
        [found.interval?.upper, upper],
      ] as const)
        if (known === null) expect(end).toBeUndefined()
        else
          expect(Math.abs(end! - Number(known))).toBeLessThanOrEqual(
            1e-10 * Math.max(1e-3, Math.abs(Number(known))),
          )
      const isRejected = (outcome: string | undefined) => outcome === 'contradicted'
      expect(isRejected(found.outcome)).toBe(expected.rejected)
      expect(isRejected(found.together)).toBe(
        adjust === 'holm' ? expected.rejected_holm : expected.rejected_bh,
      )
    }
  }
})

test.each(reference.adjust.map((list) => [list.id, list] as const))(
  'adjusted p-values: %s',
  (_, { p, holm, bh }) => {
    const pValues = p.map(Number)
    for (const [method, expected] of [
      ['holm', holm],
      ['benjamini-hochberg', bh],
    ] as const)
      for (const [at, value] of adjustPValues(pValues, method).entries())
        if (Number(expected[at]) === 0) expect(value).toBe(0)
        else near(value, expected[at]!, 1e-14)
  },
)
