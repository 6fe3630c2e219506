import { methodOf } from '@/claims/all'
import { sampleOf } from '@/claims/sampleOf'
import { deriveHypotheses } from '@/claims/terms/hypotheses'
import type { Method, Parameter } from '@/claims/terms/names'
import { checkRequestSchema, type CheckDocument } from '@/claims/terms/request'
import { type Draw, normalDraws, POPULATIONS, uniformDraws } from './populations'

const SEED = 20260101
const MANY = 4_000
const FEW = 1_000
const BEYOND = 0.05
const PER_CLUSTER = 4

export type GroupRow = Readonly<{ cells: readonly string[]; values: readonly (number | undefined)[] }>
export const GROUP_COLUMNS = POPULATIONS.map(({ name }) => name)

type Drawn = Readonly<{ evidence: CheckDocument['evidence']; truth: number; limit?: number }>
type Asked = Readonly<{ name: string; method: Method; parameter?: Parameter; test?: CheckDocument['test'] }>

/** How often a true value is rejected, two-sided at 5 %. */
function levelOf(
  draw: () => Drawn,
  { method, parameter = 'mean', test }: Asked,
  repetitions: number,
): number | undefined {
  let [answered, rejected] = [0, 0]
  for (let repetition = 0; repetition < repetitions; repetition += 1) {
    const { evidence, truth, limit } = draw()
    const {
      claim,
      test: options,
      evidence: read,
    } = checkRequestSchema.parse({
      claim: {
        parameter,
        relation: 'equal-to',
        value: truth,
        ...(limit === undefined ? {} : { limit: { side: 'at-least', value: limit } }),
      },
      evidence,
      test: { method, ...test },
    })
    const hypotheses = deriveHypotheses(claim, 'auto')
    const sample = sampleOf(read, claim)
    if (!hypotheses.ok || !sample.ok) continue
    const made = methodOf(method).make({
      parameter,
      hypotheses: hypotheses.value,
      sample: sample.value,
      options,
    })
    if (!made.ok) continue
    answered += 1
    const { pValue = 0 } = made.value.test({
      value: truth,
      alternative: 'two-sided',
      significanceLevel: BEYOND,
    })
    if (pValue <= BEYOND) rejected += 1
  }
  return answered === 0 ? undefined : rejected / answered
}

const drawsOf = (at: number, place: number): Readonly<{ value: Draw; normal: Draw; uniform: Draw }> => {
  const uniform = uniformDraws(SEED + 1000 * place + at)
  return { value: POPULATIONS[at]!.drawFrom(uniform), normal: normalDraws(uniform), uniform }
}

const listOf = <T>(length: number, make: (at: number) => T): T[] =>
  Array.from({ length }, (_, at) => make(at))

/** Four readings of each of some clusters, of whose variance a part lies between the clusters. */
const clustered = (value: Draw, m: number, between: number) => (): Drawn => {
  const own = listOf(m, () => Math.sqrt(between) * value())
  const cluster = listOf(m * PER_CLUSTER, (at) => String(Math.floor(at / PER_CLUSTER)))
  const values = cluster.map((name) => own[Number(name)]! + Math.sqrt(1 - between) * value())
  return { evidence: { kind: 'readings', values, cluster }, truth: 0 }
}

const STRATA = { a: 600, b: 300, c: 100 } as const
const CENTRES = { a: -1, b: 0, c: 2 } as const

/** As many readings of each of three layers that differ in size and in mean. */
const stratified = (value: Draw, each: number) => (): Drawn => {
  const names = ['a', 'b', 'c'] as const
  const stratum = names.flatMap((name) => listOf(each, () => name))
  const truth = names.reduce((sum, name) => sum + (STRATA[name] / 1000) * CENTRES[name], 0)
  return {
    evidence: {
      ...{
        kind: 'readings',
        values: stratum.map((name) => CENTRES[name] + value()),
        stratum,
        strata: STRATA,
      },
      finiteFactor: false,
    },
    truth,
  }
}

/** A sample without putting back of a lot that is drawn itself. */
const ofLot =
  (value: Draw, uniform: Draw, [n, lotSize]: readonly [number, number]) =>
  (): Drawn => {
    const lot = listOf(lotSize, value)
    const truth = lot.reduce((sum, one) => sum + one, 0) / lotSize
    for (let at = 0; at < n; at += 1) {
      const other = at + Math.floor(uniform() * (lotSize - at))
      ;[lot[at], lot[other]] = [lot[other]!, lot[at]!]
    }
    return { evidence: { kind: 'readings', values: lot.slice(0, n), lotSize }, truth }
  }

/** Readings that share an error of the instrument, as large as their own scatter over √n. */
const measured = (value: Draw, normal: Draw, n: number) => (): Drawn => {
  const systematic = 1 / Math.sqrt(n)
  const shared = systematic * normal()
  return {
    evidence: { kind: 'readings', values: listOf(n, () => value() + shared), measurement: { systematic } },
    truth: 0,
  }
}

const SHARE = 0.9

/** Items of which nine in ten truly lie at or above a limit. */
function items(at: number, n: number): () => Drawn {
  const far = POPULATIONS[at]!.drawFrom(uniformDraws(SEED + 7 * at))
  const many = Float64Array.from({ length: 400_000 }, far).sort()
  const limit = many[Math.floor((1 - SHARE) * many.length)]!
  const { value } = drawsOf(at, n)
  return () => ({ evidence: { kind: 'readings', values: listOf(n, value) }, truth: SHARE, limit })
}

type Plan = Readonly<{
  design: string
  asked: readonly Asked[]
  drawAt: (at: number) => () => Drawn
  repetitions?: number
}>

const T: Asked = { name: 't test', method: 't' }
const PLANS: readonly Plan[] = [
  ...[5, 12, 30].flatMap((m) =>
    [0, 0.3, 0.8].map((between): Plan => ({
      design: `${m} clusters of 4, ${100 * between} % of the variance between them`,
      asked: [{ name: 'by clusters', method: 'cluster-t' }, T],
      drawAt: (at) => clustered(drawsOf(at, m + 100 * between).value, m, between),
    })),
  ),
  ...[5, 20].map((each): Plan => ({
    design: `three layers, ${each} readings of each`,
    asked: [{ name: 'by layers', method: 'stratified-t' }, T],
    drawAt: (at) => stratified(drawsOf(at, each).value, each),
  })),
  ...(
    [
      [12, 40],
      [30, 60],
    ] as const
  ).map((sizes): Plan => ({
    design: `${sizes[0]} of a lot of ${sizes[1]}`,
    asked: [{ name: 't test, lot allowed for', method: 't', test: { finiteLot: true } }, T],
    drawAt: (at) => {
      const { value, uniform } = drawsOf(at, sizes[1])
      return ofLot(value, uniform, sizes)
    },
  })),
  ...[10, 30].map((n): Plan => ({
    design: `${n} readings with an error that all share`,
    asked: [{ name: 't test, measurement allowed for', method: 't', test: { allowForMeasurement: true } }, T],
    drawAt: (at) => {
      const { value, normal } = drawsOf(at, 50 + n)
      return measured(value, normal, n)
    },
  })),
  ...[10, 30, 100].map((n): Plan => ({
    design: `${n} items, 90 % of all beyond the limit`,
    asked: [
      { name: 'normal test of a share', method: 'normal-share', parameter: 'proportion' },
      { name: 'counted, exact', method: 'exact-binomial', parameter: 'proportion' },
    ],
    drawAt: (at) => items(at, n),
    repetitions: FEW,
  })),
]

/** The level of each two-sided test at 5 %, and of the one that knows nothing of how the readings were taken. */
export const groupLevels = (onProgress: (line: string) => void = () => {}): readonly GroupRow[] =>
  PLANS.flatMap(({ design, asked, drawAt, repetitions = MANY }) => {
    onProgress(design)
    return asked.map((one) => ({
      cells: [design, one.name],
      values: POPULATIONS.map((_, at) => levelOf(drawAt(at), one, repetitions)),
    }))
  })
