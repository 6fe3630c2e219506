import type { Distribution, Pivot } from '../inference/pivot'

type Method = Pivot['method']

/** The letter of each method's statistic. */
export const STATISTIC: Readonly<Record<Method, string>> = { t: 't', z: 'z' }

/** Which test it is, and why this one. */
export function methodReason(method: Method): string {
  switch (method) {
    case 't':
      return 'One-sample t test: the population’s standard deviation is not known, so the sample’s stands in for it.'
    case 'z':
      return 'One-sample z test: the population’s standard deviation is taken as known.'
    default:
      return method satisfies never
  }
}

/** The statistic's formula in symbols. */
export function formulaOf(method: Method): string {
  switch (method) {
    case 't':
      return 't = (x̄ − μ₀) ÷ (s ÷ √n)'
    case 'z':
      return 'z = (x̄ − μ₀) ÷ (σ ÷ √n)'
    default:
      return method satisfies never
  }
}

export function distributionWords(distribution: Distribution): string {
  if (distribution.name === 'normal') return 'normal distribution'
  const { df } = distribution
  return `${df} ${df === 1 ? 'degree' : 'degrees'} of freedom`
}
