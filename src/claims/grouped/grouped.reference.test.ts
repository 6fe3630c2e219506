import { check } from '@/answers/check'
import { resultOf } from '@tests/reference/answers'
import { Comparison, readReference } from '@tests/reference/reference'
import type { CheckDocument } from '../terms/request'

type Case = Readonly<{
  id: string
  kind: 'clusters' | 'strata'
  parameter: 'mean' | 'proportion'
  values: string[]
  cluster?: string[]
  clusters_in_lot?: number | null
  stratum?: string[]
  strata_sizes?: Record<string, number>
  finite_factor?: boolean
  claimed: string
  level: string
  expected: Readonly<Record<string, string>>
}>

// mpmath at 50 digits, standard errors also by statsmodels: see tests/reference/SOURCES.md. Cochran (1977), 5.4, 5A, 6.4, 9A.
const { cases } = readReference<{ cases: Case[] }>('clusters_strata.json')
const comparison = new Comparison()
afterAll(() => comparison.report())

function documentOf(row: Case, more: CheckDocument['test'] = {}): CheckDocument {
  const confidenceLevel = Number(row.level)
  return {
    claim: { parameter: row.parameter, relation: 'equal-to', value: Number(row.claimed) },
    evidence: {
      kind: 'readings',
      values: row.values.map(Number),
      ...(row.cluster
        ? {
            cluster: row.cluster,
            ...(row.clusters_in_lot ? { clustersInLot: row.clusters_in_lot } : {}),
          }
        : { stratum: row.stratum!, strata: row.strata_sizes!, finiteFactor: row.finite_factor! }),
    },
    test: { confidenceLevel, significanceLevel: 1 - confidenceLevel, ...more },
  }
}

test.each(cases.map((row) => [row.id, row] as const))('%s', (id, row) => {
  const { expected } = row
  const close = (group: string, actual: number | undefined, of: string | undefined, to: number) =>
    comparison.close(group, id, { actual, expected: of }, to, 1e-14)
  const two = resultOf(documentOf(row))
  const less = resultOf(documentOf(row, { alternative: 'less', intervalSides: 'upper' }))
  const greater = resultOf(documentOf(row, { alternative: 'greater', intervalSides: 'lower' }))
  close('estimate', two.estimate.value, expected.estimate, 1e-12)
  close('standard error', two.sample.standardError, expected.standard_error, 1e-12)
  const { distribution } = two.test
  close('df', distribution?.name === 't' ? distribution.df : undefined, expected.df, 1e-12)
  close('t', two.test.statistic, expected.t, 1e-11)
  close('p', two.test.pValue, expected.p_two_sided, 1e-11)
  close('p', less.test.pValue, expected.p_less, 1e-11)
  close('p', greater.test.pValue, expected.p_greater, 1e-11)
  close('limit', two.interval?.lower, expected.lower, 1e-11)
  close('limit', two.interval?.upper, expected.upper, 1e-11)
  close('bound', greater.interval?.lower, expected.lower_bound, 1e-11)
  close('bound', less.interval?.upper, expected.upper_bound, 1e-11)
  if (row.kind === 'clusters') {
    close('design effect', two.sample.designEffect, expected.design_effect, 1e-11)
    close('effective n', two.sample.effectiveSampleSize, expected.effective_n, 1e-11)
  }
})

const SACKS = [15.1, 14.9, 15.3, 15.2, 14.8, 14.7, 15.0, 15.1]
const PALLETS = ['a', 'a', 'b', 'b', 'c', 'c', 'd', 'd']
const LAYERS = ['north', 'north', 'north', 'north', 'south', 'south', 'south', 'south']
const SIZES = { north: 400, south: 100 }

function answerTo(evidence: object, more: Readonly<{ claim?: object; test?: object }> = {}) {
  return check({
    claim: { parameter: 'mean', relation: 'at-least', value: 15, ...more.claim },
    evidence: { kind: 'readings', values: SACKS, ...evidence },
    test: more.test ?? {},
  })
}
const problemOf = (...asked: Parameters<typeof answerTo>) => {
  const answered = answerTo(...asked)
  return answered.ok ? undefined : `${answered.error.code} ${answered.error.path}`
}

test('a wrong statement of groups is refused by its name', () => {
  expect(problemOf({ cluster: PALLETS.slice(1) })).toBe('groups-of-other-length evidence.cluster')
  expect(problemOf({ cluster: PALLETS.map(() => 'a') })).toBe('too-few-clusters evidence.cluster')
  expect(problemOf({ cluster: PALLETS, clustersInLot: 3 })).toBe('lot-too-small evidence.clustersInLot')
  expect(problemOf({ clustersInLot: 3 })).toBe('missing evidence.cluster')
  expect(problemOf({ cluster: PALLETS, stratum: LAYERS, strata: SIZES })).toBe(
    'clusters-and-strata evidence.stratum',
  )
  expect(problemOf({ stratum: LAYERS })).toBe('missing evidence.strata')
  expect(problemOf({ strata: SIZES })).toBe('missing evidence.stratum')
  expect(problemOf({ finiteFactor: false })).toBe('missing evidence.stratum')
  expect(problemOf({ stratum: LAYERS.slice(1), strata: SIZES })).toBe(
    'groups-of-other-length evidence.stratum',
  )
  expect(problemOf({ stratum: LAYERS, strata: { north: 400 } })).toBe(
    'stratum-without-size evidence.stratum[4]',
  )
  expect(problemOf({ stratum: LAYERS, strata: SIZES, lotSize: 501 })).toBe('strata-sizes evidence.strata')
  expect(problemOf({ stratum: LAYERS, strata: { ...SIZES, east: 9 } })).toBe(
    'too-few-in-stratum evidence.stratum',
  )
  expect(problemOf({ stratum: LAYERS, strata: SIZES, setAside: [4, 5, 6] })).toBe(
    'too-few-in-stratum evidence.stratum',
  )
  expect(problemOf({ stratum: LAYERS, strata: { ...SIZES, south: 3 } })).toBe('lot-too-small evidence.strata')
  expect(problemOf({ cluster: PALLETS, clustersInLot: 4 })).toBe('lot-measured-whole evidence.clustersInLot')
  expect(problemOf({ cluster: PALLETS, clustersInLot: 5 })).toBeUndefined()
  const whole = { north: 4, south: SACKS.length - 4 }
  expect(problemOf({ stratum: LAYERS, strata: whole })).toBe('lot-measured-whole evidence.strata')
  expect(problemOf({ stratum: LAYERS, strata: whole, finiteFactor: false })).toBeUndefined()
  expect(problemOf({ stratum: LAYERS, strata: { ...whole, north: 5 } })).toBeUndefined()
  expect(problemOf({}, { test: { method: 'cluster-t' } })).toBe('groups-needed evidence.cluster')
  expect(problemOf({}, { test: { method: 'stratified-t' } })).toBe('groups-needed evidence.stratum')
  expect(problemOf({ cluster: PALLETS }, { claim: { parameter: 'proportion', value: 0.9 } })).toBe(
    'not-a-mark evidence.values[0]',
  )
  expect(problemOf({ cluster: PALLETS, values: SACKS.map(() => 15) })).toBe('no-variation evidence.values')
})

test('what is set aside takes its cluster with it, and a test that does not know the clusters says so', () => {
  const codeOf = (...asked: Parameters<typeof answerTo>) => {
    const answered = answerTo(...asked)
    if (!answered.ok || answered.kind !== 'mean') throw new Error('not answered')
    const { test, conditions, sample } = answered
    return [test.method, sample.clusters, conditions.find(({ name }) => name === 'independence')?.code]
  }
  expect(codeOf({ cluster: PALLETS })).toEqual(['cluster-t', 4, 'clusters-few'])
  expect(codeOf({ cluster: PALLETS, setAside: [6, 7] })).toEqual(['cluster-t', 3, 'clusters-few'])
  expect(codeOf({ cluster: PALLETS }, { test: { method: 't' } })).toEqual([
    't',
    undefined,
    'clusters-ignored',
  ])
  const twelve = {
    values: [...SACKS, ...SACKS, ...SACKS],
    cluster: [...PALLETS, ...PALLETS.map((one) => `${one}2`), ...PALLETS.map((one) => `${one}3`)],
  }
  expect(codeOf(twelve)).toEqual(['cluster-t', 12, 'clusters-enough'])
})

test('each cluster of one reading is a t test, and layers that weigh alike a mean of all', () => {
  const singly = answerTo({ cluster: SACKS.map((_, at) => `${at}`) })
  const plain = answerTo({})
  if (!singly.ok || singly.kind !== 'mean' || !plain.ok || plain.kind !== 'mean')
    throw new Error('not answered')
  expect(singly.test.pValue).toBeCloseTo(plain.test.pValue!, 12)
  expect(singly.sample.designEffect).toBeCloseTo(1, 12)
})
