import fc from 'fast-check'
import { answer } from './answer'
import { isAllFinite } from '@/claims/terms/isAllFinite'

const RUNS = 20_000
/** The same requests on every run, so that a failure is one that can be repeated. */
const SEED = 20_260_101

const readings = { kind: 'readings', values: [14.93, 15.02, 14.88, 14.91, 14.97, 14.86, 15.1], lotSize: 4000 }
/** Enough of them to resample. */
const many = { kind: 'readings', values: Array.from({ length: 30 }, (_, at) => 14.9 + (at % 7) / 50) }
const claim = (parameter: string, relation: string, value: number) => ({ parameter, relation, value })
const tolerance = { below: 0.1, above: 0.2 }
const options = { significanceLevel: 0.05, confidenceLevel: 0.9, resamples: 99 }
const two = { kind: 'two-readings', first: [1, 2, 4, 3.5], second: [2, 2.5, 2.2, 1.9] }
const count = { kind: 'count', n: 40, successes: 31, lotSize: 500 }

/** One sound request of every kind, from which the mutations start. */
const SOUND: readonly object[] = [
  { id: 'a', claim: claim('mean', 'at-least', 15), evidence: readings, test: options },
  {
    claim: { ...claim('mean', 'within', 15), tolerance, burden: 'challenge' },
    evidence: many,
    test: { ...options, method: 'bootstrap' },
  },
  {
    claim: claim('mean', 'less-than', 15),
    evidence: { kind: 'summary', n: 12, mean: 14.9, variance: 0.01 },
    test: { ...options, knownStandardDeviation: 0.1 },
  },
  {
    claim: claim('standard-deviation', 'at-most', 0.1),
    evidence: readings,
    test: { ...options, method: 'bonett' },
  },
  {
    claim: {
      ...claim('variance', 'equal-to', 0.01),
      burden: 'substantiate',
      tolerance: { below: 0.005, above: 0.01 },
    },
    evidence: readings,
    test: options,
  },
  {
    claim: claim('standard-deviation', 'more-than', 0.1),
    evidence: many,
    test: { ...options, method: 'bootstrap' },
  },
  {
    claim: claim('proportion', 'at-least', 0.8),
    evidence: count,
    test: { ...options, method: 'score-z', continuityCorrection: true },
  },
  {
    claim: claim('proportion', 'equal-to', 0.8),
    evidence: count,
    test: {
      ...options,
      method: 'exact-binomial',
      twoSidedRule: 'minimum-likelihood',
      midP: true,
      interval: 'wald',
    },
  },
  {
    claim: { ...claim('proportion', 'within', 0.8), tolerance },
    evidence: count,
    test: { ...options, method: 'hypergeometric', intervalSides: 'upper' },
  },
  {
    claim: claim('variance-ratio', 'different-from', 1),
    evidence: two,
    test: { ...options, method: 'levene' },
  },
  {
    claim: claim('variance-ratio', 'at-most', 1),
    evidence: { kind: 'two-summaries', first: { n: 9, variance: 2 }, second: { n: 8, standardDeviation: 1 } },
    test: options,
  },
  { claim: claim('median', 'at-least', 15), evidence: readings, test: { ...options, method: 'signed-rank' } },
  {
    claim: claim('median', 'equal-to', 14.91),
    evidence: readings,
    test: { ...options, method: 'sign', alternative: 'greater' },
  },
  {
    claim: claim('median', 'at-most', 15),
    evidence: many,
    test: { ...options, method: 'bootstrap', seed: 7 },
  },
  { describe: { values: readings.values } },
  { adjust: { pValues: [0.01, 0.2, 0.04], method: 'holm' } },
  {
    plan: {
      claim: claim('mean', 'at-least', 15),
      assume: { value: 14.9, standardDeviation: 0.1 },
      find: 'n',
      power: 0.9,
    },
  },
  {
    plan: {
      claim: { ...claim('mean', 'within', 15), tolerance },
      assume: { value: 15, standardDeviation: 0.1 },
      find: 'power',
      n: 12,
    },
  },
  { plan: { claim: claim('standard-deviation', 'at-most', 1), find: 'difference', n: 12, power: 0.8 } },
  {
    plan: {
      claim: claim('proportion', 'at-least', 0.9),
      test: { method: 'exact-binomial' },
      assume: { value: 0.7 },
      find: 'n',
      power: 0.8,
    },
  },
  { plan: { claim: claim('proportion', 'equal-to', 0.5), find: 'difference', n: 40, power: 0.8 } },
  { reckon: { distribution: { name: 'f', df1: 3, df2: 8.5 }, upper: 0.05 } },
  { reckon: { distribution: { name: 'signed-rank', n: 9 }, x: 12 } },
  { critical: { distribution: { name: 'poisson', mean: 4.2 }, levels: [0.05, 0.01] } },
  { reckon: { distribution: { name: 'hypergeometric', lotSize: 50, marked: 9, n: 12 }, x: 3 } },
]

const EXTREMES = [
  0,
  -0,
  1,
  2,
  -1,
  0.5,
  3,
  1e-308,
  -1e-308,
  5e-324,
  1e308,
  -1e308,
  1.7976931348623157e308,
  1e-17,
  1 - 2 ** -53,
  1e-300,
  0.999,
  1e9,
  1e15,
  2 ** 53,
  Number.NaN,
  Number.POSITIVE_INFINITY,
  '',
  'auto',
  '15',
  'within',
  'less',
  null,
  true,
  [],
  {},
  [0],
  [1, 1],
  [1e308, -1e308],
  [1e-308, 2e-308, 3e-308],
  [5, 5, 5, 5, 5, 5],
  { value: 1 },
] as const

type Branch = Record<string, unknown>

/** Every place in a document that a mutation can reach. */
function placesIn(node: unknown, at: readonly string[] = []): readonly (readonly string[])[] {
  if (typeof node !== 'object' || node === null) return [at]
  return [at, ...Object.entries(node).flatMap(([key, inside]) => placesIn(inside, [...at, key]))]
}

function mutated(
  document: object,
  place: readonly string[],
  change: (branch: Branch, key: string) => void,
): unknown {
  const root = structuredClone({ document }) as Branch
  const path = ['document', ...place]
  const branch = path.slice(0, -1).reduce<Branch>((node, key) => node[key] as Branch, root)
  change(branch, path.at(-1)!)
  return root.document
}

const mutation = fc.record({
  place: fc.nat(),
  kind: fc.constantFrom('replace', 'replace', 'replace', 'remove', 'add', 'number'),
  extreme: fc.constantFrom<unknown>(...EXTREMES),
  number: fc.double({ noNaN: true }),
})

type Mutation = Readonly<{ place: number; kind: string; extreme: unknown; number: number }>

function applied(document: unknown, { place, kind, extreme, number }: Mutation): unknown {
  if (typeof document !== 'object' || document === null) return extreme
  const places = placesIn(document)
  return mutated(document, places[place % places.length]!, (branch, key) => {
    if (kind === 'remove') delete branch[key]
    else if (kind === 'add') branch[`${key}More`] = extreme
    else branch[key] = kind === 'number' ? number : extreme
  })
}

test('the sound requests are all answered', () => {
  for (const document of SOUND) expect(answer(document)).toMatchObject({ ok: true })
})

test('every mutated request is answered with finite figures, or refused with a code, a place and what would do', () => {
  const document = fc
    .tuple(fc.constantFrom(...SOUND), fc.array(mutation, { minLength: 1, maxLength: 3 }))
    .map(([sound, mutations]) => mutations.reduce<unknown>(applied, sound))
  let refused = 0
  fc.assert(
    fc.property(document, (request) => {
      const answered = answer(request)
      expect(isAllFinite(answered)).toBe(true)
      // NaN and infinities would be written as null.
      if (answered.ok) return expect(JSON.stringify(answered)).not.toMatch(/[:[,]null\b/)
      refused += 1
      expect(answered.error.code).toMatch(/^[a-z][a-z-]+$/)
      expect(typeof answered.error.path).toBe('string')
      return expect(answered.error.message).toMatch(/^.{10,}[.]$/su)
    }),
    { numRuns: RUNS, seed: SEED },
  )
  // Mutations that were all refused, or all answered, would test only half.
  expect(refused).toBeGreaterThan(RUNS / 4)
  expect(refused).toBeLessThan(RUNS)
})
