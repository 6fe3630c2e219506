import { randomWords } from '@/statistics/numeric/random'

export type Draw = () => number

/** A population with mean 0 and standard deviation 1, whose median is known. */
export type Population = Readonly<{ name: string; median: number; drawFrom: (uniform: Draw) => Draw }>

const STUDENT_DF = 5
/** ln of the lognormal's own spread: a skewness of about 2.9, a long tail but not an extreme one. */
const LOG_SPREAD = 0.7

/** Shapes that an auditor meets: fill weights, rounded settings, waiting times, a few wild readings, prices. */
export const POPULATIONS: readonly Population[] = [
  { name: 'normal', median: 0, drawFrom: normalDraws },
  { name: 'uniform', median: 0, drawFrom: (uniform) => () => (uniform() - 0.5) * Math.sqrt(12) },
  {
    name: 'heavy tails (t, 5 df)',
    median: 0,
    drawFrom: (uniform) => {
      const normal = normalDraws(uniform)
      const scale = Math.sqrt((STUDENT_DF - 2) / STUDENT_DF)
      return () => {
        let square = 0
        for (let i = 0; i < STUDENT_DF; i += 1) square += normal() ** 2
        return (normal() / Math.sqrt(square / STUDENT_DF)) * scale
      }
    },
  },
  {
    name: 'skewed (exponential)',
    median: Math.LN2 - 1,
    drawFrom: (uniform) => () => -Math.log1p(-uniform()) - 1,
  },
  {
    name: 'very skewed (lognormal)',
    median: lognormalMedian(LOG_SPREAD),
    drawFrom: lognormal(LOG_SPREAD),
  },
]

/** Of lognormal numbers with mean 0 and standard deviation 1. */
export function lognormalMedian(spread: number): number {
  return (1 - Math.exp(spread ** 2 / 2)) / lognormalSpread(spread)
}

function lognormalSpread(spread: number): number {
  const square = spread ** 2
  return Math.sqrt(Math.expm1(square)) * Math.exp(square / 2)
}

/** Lognormal numbers with mean 0 and standard deviation 1, from the spread of their logs. */
export function lognormal(spread: number): Population['drawFrom'] {
  return (uniform) => {
    const normal = normalDraws(uniform)
    const mean = Math.exp(spread ** 2 / 2)
    return () => (Math.exp(spread * normal()) - mean) / lognormalSpread(spread)
  }
}

/** Numbers from 0 to 1, neither included. */
export function uniformDraws(seed: number): Draw {
  const fill = randomWords(seed)
  const words = new Uint32Array(1024)
  let next = words.length
  return () => {
    if (next === words.length) {
      fill(words)
      next = 0
    }
    next += 1
    return (words[next - 1]! + 0.5) / 2 ** 32
  }
}

/** Standard normal numbers, by the polar form of Box & Muller (1958), Annals of Mathematical Statistics 29, 610-611. */
export function normalDraws(uniform: Draw): Draw {
  return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform())
}
