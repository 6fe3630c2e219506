import { moments } from '@/statistics/describe/moments'
import { bootstrap } from '@/claims/bootstrap'
import { meanT } from '@/claims/mean/t'
import { meanZ } from '@/claims/mean/z'
import { medianSign } from '@/claims/median/sign'
import { medianSignedRank } from '@/claims/median/signedRank'
import type { Procedure } from '@/statistics/inference/procedure'
import { ratioF } from '@/claims/ratio/f'
import { ratioLevene } from '@/claims/ratio/levene'
import type { MeasuredSample, TwoSamples } from '@/claims/sample'
import { spreadBonett } from '@/claims/spread/bonett'
import { spreadChiSquare } from '@/claims/spread/chiSquare'
import type { Outcome } from '@/claims/outcome'
import type { Population } from './populations'

export type Simulated = Readonly<{
  parameter: string
  method: string
  sizes: readonly number[]
  /** Repetitions, fewer for the slow ones. */
  repetitions: number
  truth: (population: Population) => number
  procedure: (draw: (n: number) => MeasuredSample, n: number, seed: number) => Outcome<Procedure>
}>

const MANY = 20_000
const FEW = 2_000
const RESAMPLES = 999

export function sampleOf(values: readonly number[]): MeasuredSample {
  return {
    ...moments(values),
    values,
    sorted: Float64Array.from(values).sort(),
    setAside: 0,
    path: 'simulated',
  }
}

const one =
  (
    make: (sample: MeasuredSample & { mean: number }, seed: number) => Outcome<Procedure>,
  ): Simulated['procedure'] =>
  (draw, n, seed) => {
    const sample = draw(n)
    return make({ ...sample, mean: sample.mean! }, seed)
  }
const two =
  (make: (samples: TwoSamples) => Outcome<Procedure>): Simulated['procedure'] =>
  (draw, n) =>
    make({ first: draw(n), second: draw(n) })

const mean = { parameter: 'mean', sizes: [5, 15, 30, 100], truth: () => 0 }
const spread = { parameter: 'standard deviation', sizes: [10, 30, 100], truth: () => 1 }
const ratio = { parameter: 'ratio of variances', sizes: [10, 30, 100], truth: () => 1 }
const middle = { parameter: 'median', sizes: [10, 30, 100], truth: ({ median }: Population) => median }
const plan = (seed: number) => ({ count: RESAMPLES, seed })

/** Every method for measurements, as it is used in a check. */
export const SIMULATED: readonly Simulated[] = [
  { ...mean, method: 't', repetitions: MANY, procedure: one(meanT) },
  { ...mean, method: 'z, σ known', repetitions: MANY, procedure: one((sample) => meanZ(sample, 1)) },
  {
    ...mean,
    method: 'bootstrap',
    repetitions: FEW,
    procedure: one((sample, seed) => bootstrap(sample, 'mean', plan(seed))),
  },
  {
    ...spread,
    method: 'chi-square',
    repetitions: MANY,
    procedure: one((sample) => spreadChiSquare(sample, 'standard-deviation')),
  },
  {
    ...spread,
    method: 'Bonett',
    repetitions: MANY,
    procedure: one((sample) => spreadBonett(sample, 'standard-deviation')),
  },
  {
    ...spread,
    method: 'bootstrap',
    repetitions: FEW,
    procedure: one((sample, seed) => bootstrap(sample, 'standard-deviation', plan(seed))),
  },
  { ...ratio, method: 'F', repetitions: MANY, procedure: two(ratioF) },
  {
    ...ratio,
    method: 'Levene',
    repetitions: MANY,
    procedure: two((s) => ratioLevene(s, 'levene', 'two-sided')),
  },
  {
    ...ratio,
    method: 'Brown-Forsythe',
    repetitions: MANY,
    procedure: two((samples) => ratioLevene(samples, 'brown-forsythe', 'two-sided')),
  },
  {
    ...middle,
    method: 'signed-rank',
    repetitions: FEW,
    procedure: one((sample) => medianSignedRank(sample, 'none', [0])),
  },
  { ...middle, method: 'sign', repetitions: MANY, procedure: one((sample) => medianSign(sample, [0])) },
  {
    ...middle,
    method: 'bootstrap',
    repetitions: FEW,
    procedure: one((sample, seed) => bootstrap(sample, 'median', plan(seed))),
  },
]
