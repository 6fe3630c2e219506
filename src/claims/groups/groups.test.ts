import { check } from '@/answers/check'
import { groups, type GroupLine } from '@/answers/groups'
import { lots } from '@/answers/lots'
import { moments } from '@/statistics/describe/moments'
import { oneWay } from '@/statistics/describe/homogeneity'
import { testedBy } from '@tests/reference/answers'
import type { GroupsDocument } from './groupsRequest'
import type { LotsDocument } from './lotsRequest'

const claim = { parameter: 'mean', relation: 'at-least', value: 15 } as const
const NORTH = [14.9, 15.1, 14.8, 14.7]
const SOUTH = [15.2, 15.3, 15.1]

function found(request: GroupsDocument['groups']) {
  const answered = groups({ groups: request })
  if (!answered.ok) throw new Error(answered.error.message)
  const by = (label: string): GroupLine => answered.groups.find((one) => one.label === label)!
  return { ...answered, by }
}
const refusal = (request: unknown) => {
  const answered = groups({ groups: request })
  return answered.ok ? 'answered' : [answered.error.code, answered.error.path]
}
const rows = (...parts: readonly (readonly [string, readonly (number | null)[]])[]) => ({
  values: parts.flatMap(([, values]) => values),
  labels: parts.flatMap(([label, values]) => values.map(() => label)),
})

test('each group is a check of its own readings, and those not tested do not count for the adjustment', () => {
  const answer = found({
    claim,
    ...rows(
      ['north', NORTH],
      ['south', SOUTH],
      ['one', [15]],
      ['same', [15, 15]],
      ['none', [null]],
      ['', [14, 13]],
    ),
  })
  const own = testedBy({ claim, evidence: { kind: 'readings', values: NORTH } })
  expect(answer.by('north')).toMatchObject({
    n: 4,
    pValue: own.test.pValue,
    interval: own.interval,
    outcome: own.finding.outcome,
  })
  expect(answer.by('north').adjusted).toBe(2 * own.test.pValue!)
  for (const [label, why] of [
    ['one', /needs at least 2/],
    ['same', /all readings are equal/],
    ['none', /nothing to test/],
    ['', /2 readings have no entry/],
  ] as const) {
    expect(answer.by(label).why).toMatch(why)
    expect(answer.by(label).outcome).toBeUndefined()
  }
  expect(answer.groups.map(({ label }) => label)).toEqual(['north', 'south', 'one', 'same', 'none', ''])
  expect(answer.between!.statistic).toBeCloseTo(oneWay([moments(NORTH), moments(SOUTH)])!.statistic, 12)
})

test('what is set aside of a group is not tested', () => {
  const answer = found({ claim, ...rows(['north', [...NORTH, 3]], ['south', [...SOUTH]]), setAside: [4] })
  const own = testedBy({ claim, evidence: { kind: 'readings', values: NORTH } })
  expect(answer.by('north')).toMatchObject({ n: 4, setAside: 1, pValue: own.test.pValue })
  expect(found({ claim, ...rows(['a', [1, 2]], ['b', [3, 4]]), setAside: [0, 1] }).by('a').why).toMatch(
    /every one is set aside/,
  )
})

test('readings in clusters are tested by them, within each group', () => {
  const values = [14.9, 15.1, 14.8, 14.7, 15.2, 15.4]
  const cluster = ['a', 'a', 'b', 'b', 'c', 'c']
  const answer = found({
    claim,
    values: [...values, ...SOUTH],
    labels: [...values.map(() => 'north'), ...SOUTH.map(() => 'south')],
    cluster: [...cluster, 'd', 'e', 'f'],
  })
  const own = testedBy({ claim, evidence: { kind: 'readings', values, cluster } })
  expect(answer.by('north')).toMatchObject({ method: 'cluster-t', pValue: own.test.pValue })
  expect(answer.between).toBeUndefined()
})

test('shares by rows and by readings, rates, and the size of a lot', () => {
  const share = { parameter: 'proportion', relation: 'at-least', value: 0.9 } as const
  const marks = found({ claim: share, ...rows(['a', [1, 1, 0, 1]], ['b', [1, 1, 1, 1, 0, 0]]) })
  expect(marks.by('b')).toMatchObject({ n: 6, method: 'exact-binomial', estimate: 4 / 6 })
  expect(marks.between).toMatchObject({ df: 1 })
  const limited = { ...share, limit: { side: 'at-least', value: 15 } } as const
  expect(found({ claim: limited, ...rows(['a', NORTH], ['b', SOUTH]) }).by('a')).toMatchObject({
    n: 4,
    estimate: 0.25,
  })
  const rate = { parameter: 'rate', relation: 'at-most', value: 1 } as const
  const each = found({ claim: rate, ...rows(['a', [2, 3]], ['b', [0, 1]]), exposures: [1, 2, 1, 4] })
  expect(each.by('a')).toMatchObject({ events: 5, exposure: 3 })
  expect(each.between!.statistic).toBeCloseTo(
    (5 - 6 * (3 / 8)) ** 2 / (6 * (3 / 8)) + (1 - 6 * (5 / 8)) ** 2 / (6 * (5 / 8)),
    10,
  )
  const same = found({ claim: rate, ...rows(['a', [2, 3]], ['b', [0, 1]]), exposures: 2 })
  expect(same.by('a')).toMatchObject({ n: 2, events: 5, exposure: 4 })
  const lot = found({
    claim: share,
    ...rows(['a', [1, 1, 0, 1]], ['b', [1, 1, 1, 1]]),
    lotSizes: { a: 20, b: 4 },
  })
  expect(lot.by('a').method).toBe('hypergeometric')
  expect(lot.by('b').why).toMatch(/All 4 units of the lot were taken/)
})

test('controls of net content, each group a lot, with the tare of its own packs', () => {
  const gross = [15.2, 15.1, 14.9, 15.3, 15.2, 15.4]
  const answer = found({
    content: { nominal: 15, unit: 'kg', tare: [0.1, 0.1, 0.1, 0.2, 0.2, 0.2] },
    values: gross,
    labels: ['a', 'a', 'a', 'b', 'b', 'b'],
    lotSizes: { a: 3 },
  })
  expect(answer.by('a')).toMatchObject({ n: 3, beyondT: 1, beyondTwiceT: 0 })
  expect(answer.by('a').estimate).toBeCloseTo(15 + (0.1 + 0 - 0.2) / 3, 12)
  expect(answer.by('b').estimate).toBeCloseTo(15.1, 12)
  expect(answer.by('a').adjusted).toBeUndefined()
})

test.each([
  [{ values: [1], labels: ['a'] }, 'missing', 'groups.claim'],
  [{ claim, content: { nominal: 1, unit: 'g' }, values: [1], labels: ['a'] }, 'one-of-two', 'groups.claim'],
  [{ claim, values: [1, 2], labels: ['a'] }, 'of-other-length', 'groups.labels'],
  [{ claim, values: [1, 2], labels: ['a', 'a'], cluster: ['x'] }, 'of-other-length', 'groups.cluster'],
  [{ claim, values: [1, 2], labels: ['a', 'a'], setAside: [2] }, 'out-of-range', 'groups.setAside[0]'],
  [
    { claim: { ...claim, relation: 'within' }, values: [1, 2], labels: ['a', 'a'] },
    'tolerance-needed',
    'groups.claim.tolerance',
  ],
  [
    { claim, test: { method: 'f' }, values: [1, 2], labels: ['a', 'a'] },
    'method-does-not-fit',
    'groups.test.method',
  ],
  [
    { content: { nominal: 60, unit: 'kg' }, values: [1], labels: ['a'] },
    'nominal-beyond-plan',
    'groups.content.nominal',
  ],
  [{ claim, values: ['1'], labels: ['a'] }, 'wrong-type', 'groups.values[0]'],
])('%j is refused as %s at %s', (request, code, path) => {
  expect(refusal(request)).toEqual([code, path])
})

describe('lots', () => {
  const evidence = (values: number[]) => ({ kind: 'readings', values, drawn: 'random' }) as const
  const LOTS: LotsDocument['lots'] = {
    claim,
    lots: [
      { label: 'second', day: '2026-02-01', evidence: evidence(SOUTH) },
      { label: 'undated', evidence: { kind: 'summary', n: 12, mean: 14.9, standardDeviation: 0.1 } },
      { label: 'first', day: '2026-01-05', evidence: evidence(NORTH) },
    ],
  }
  const answered = (request: LotsDocument['lots']) => {
    const answer = lots({ lots: request })
    if (!answer.ok) throw new Error(answer.error.message)
    return answer
  }
  const refused = (request: unknown) => {
    const answer = lots({ lots: request })
    return answer.ok ? 'answered' : [answer.error.code, answer.error.path]
  }

  test('stand by day, each by itself and adjusted, and whether they differ', () => {
    const answer = answered(LOTS)
    expect(answer.lots.map(({ label }) => label)).toEqual(['first', 'second', 'undated'])
    expect(answer.lots[0]).toMatchObject({
      day: '2026-01-05',
      n: 4,
      pValue: testedBy({ claim, evidence: evidence(NORTH) }).test.pValue,
    })
    const summary = { sampleSize: 12, mean: 14.9, meanRemainder: 0, standardDeviation: 0.1 }
    expect(answer.between!.statistic).toBeCloseTo(
      oneWay([moments(NORTH), moments(SOUTH), summary])!.statistic,
      10,
    )
    expect(answer.pooled).toBeUndefined()
  })

  test('are pooled only where that is asked for, with the lot as what was drawn', () => {
    const two = { ...LOTS, lots: [LOTS.lots[0]!, LOTS.lots[2]!], pool: true }
    const pooled = answered(two).pooled!
    const own = check({
      claim,
      evidence: {
        kind: 'readings',
        values: [...NORTH, ...SOUTH],
        cluster: [...NORTH.map(() => 'first'), ...SOUTH.map(() => 'second')],
        drawn: 'random',
      },
      test: { method: 'cluster-t' },
    })
    expect(pooled).toEqual(own)
    expect(refused({ ...LOTS, pool: true })).toEqual(['readings-needed', 'lots.pool'])
    const aside = {
      ...two,
      lots: [{ ...LOTS.lots[2]!, evidence: { ...evidence([...NORTH, 3]), setAside: [4] } }, LOTS.lots[0]!],
    }
    const without = answered(aside).pooled!
    expect(without.ok && 'sample' in without && without.sample).toMatchObject({ n: 7, setAside: 1 })
  })

  test.each([
    [{ ...LOTS, lots: [LOTS.lots[0], LOTS.lots[0]] }, 'label-twice', 'lots.lots'],
    [{ ...LOTS, lots: [{ label: 'a' }] }, 'evidence-does-not-fit', 'lots.lots'],
    [{ lots: [LOTS.lots[0]] }, 'evidence-does-not-fit', 'lots.lots'],
    [
      { ...LOTS, lots: [{ label: 'a', content: { nominal: 1, unit: 'g', values: [1] } }] },
      'evidence-does-not-fit',
      'lots.lots',
    ],
    [{ ...LOTS, lots: [{ ...LOTS.lots[0], day: '5.1.2026' }] }, 'invalid', 'lots.lots[0].day'],
    [{ ...LOTS, claim: { ...claim, relation: 'within' } }, 'tolerance-needed', 'lots.claim.tolerance'],
    [{ ...LOTS, lots: [] }, 'out-of-range', 'lots.lots'],
  ])('%j is refused as %s at %s', (request, code, path) => {
    expect(refused(request)).toEqual([code, path])
  })

  test('controls of several lots have no p-value', () => {
    const answer = answered({
      lots: [
        { label: 'a', content: { nominal: 15, unit: 'kg', values: NORTH } },
        { label: 'b', content: { nominal: 15, unit: 'kg', values: [15.1] } },
      ],
    })
    expect(answer.lots).toMatchObject([
      { label: 'a', n: 4, beyondT: 2 },
      { label: 'b', n: 1, outcome: 'not-contradicted' },
    ])
    expect(answer.between).toBeUndefined()
  })
})
