import { beta } from './beta'
import { binomial } from './binomial'
import { chiSquare } from './chiSquare'
import type { Discrete } from './discrete'
import { fDistribution } from './fDistribution'
import { hypergeometric } from './hypergeometric'
import type { NamedDistribution } from './named'
import { noncentralT } from './noncentralT'
import { normal } from './normal'
import { poisson } from './poisson'
import type { Reference } from './reference'
import { signedRank, sumOfSigned } from './signedRank'
import { studentT } from './studentT'

/**
 * A distribution by its name and parameters, continuous or discrete: of a discrete one the density is the probability of
 * each value.
 *
 * @param named - a hypergeometric one has `marked` and `n` of at most `lotSize`
 * @example
 * distributionByName({ name: 'f', df1: 5, df2: 10 }).quantile(0.05, 'upper') // 3.32583
 */
export function distributionByName(named: NamedDistribution): Reference {
  switch (named.name) {
    case 'normal':
      return normal
    case 't':
      return studentT(named.df)
    case 'chi-square':
      return chiSquare(named.df)
    case 'f':
      return fDistribution({ numerator: named.df1, denominator: named.df2 })
    case 'beta':
      return beta(named)
    case 'noncentral-t':
      return noncentralT({ degreesOfFreedom: named.df, noncentrality: named.ncp })
    case 'binomial':
      return ofWholeNumbers(binomial({ trials: named.n, probability: named.p }))
    case 'hypergeometric': {
      const { lotSize, marked, n } = named
      return ofWholeNumbers(hypergeometric({ lotSize, marked, sampleSize: n }))
    }
    case 'poisson':
      return ofWholeNumbers(poisson(named.mean))
    case 'signed-rank':
      return named.ranks ? ofTiedRanks(named.ranks) : ofWholeNumbers(signedRank(named.n))
    default:
      return named satisfies never
  }
}

function ofWholeNumbers({ mass, tails, quantile }: Discrete): Reference {
  return { density: mass, tails, quantile }
}

/** Middle ranks are halves of whole numbers. */
function ofTiedRanks(ranks: readonly number[]): Reference {
  const { mass, tails, quantile } = sumOfSigned(ranks.map((rank) => 2 * rank))
  return {
    density: (sum) => mass(2 * sum),
    tails: (sum) => tails(2 * sum),
    quantile: (probability, tail) => quantile(probability, tail) / 2,
  }
}
