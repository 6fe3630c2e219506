import { bootstrap } from './bootstrap'
import type { MethodDefinition, ParameterDefinition } from './terms/definition'
import { mean } from './mean/mean'
import { t } from './mean/t'
import { z } from './mean/z'
import { clusterT } from './grouped/clusterT'
import { stratifiedT } from './grouped/stratifiedT'
import { median } from './median/median'
import { quantile } from './median/quantile'
import { sign } from './median/sign'
import { signedRank } from './median/signedRank'
import { type Method, METHODS, type Parameter } from './terms/names'
import { f } from './ratio/f'
import { brownForsythe, levene } from './ratio/levene'
import { varianceRatio } from './ratio/varianceRatio'
import { exactPoisson } from './rate/exactPoisson'
import { rate } from './rate/rate'
import { scorePoisson } from './rate/scorePoisson'
import { exactBinomial } from './share/exactBinomial'
import { hypergeometric } from './share/hypergeometric'
import { normalShare } from './share/normalShare'
import { proportion } from './share/proportion'
import { scoreZ } from './share/scoreZ'
import { bonett } from './spread/bonett'
import { chiSquare } from './spread/chiSquare'
import { standardDeviation } from './spread/standardDeviation'
import { variance } from './spread/variance'

/** Each parameter with all that there is to say of it. */
export const PARAMETER_DEFINITIONS = {
  mean,
  'standard-deviation': standardDeviation,
  variance,
  proportion,
  'variance-ratio': varianceRatio,
  median,
  rate,
} as const satisfies { [Name in Parameter]: ParameterDefinition<Name> }

/** Each method with all that there is to say of it. */
export const METHOD_DEFINITIONS = {
  t,
  z,
  'cluster-t': clusterT,
  'stratified-t': stratifiedT,
  'chi-square': chiSquare,
  bonett,
  'score-z': scoreZ,
  'exact-binomial': exactBinomial,
  hypergeometric,
  'normal-share': normalShare,
  f,
  'brown-forsythe': brownForsythe,
  levene,
  'signed-rank': signedRank,
  sign,
  quantile,
  'exact-poisson': exactPoisson,
  'score-poisson': scorePoisson,
  bootstrap,
} as const satisfies { [Name in Method]: MethodDefinition<Name> }

export const parameterOf = (name: Parameter): ParameterDefinition => PARAMETER_DEFINITIONS[name]

export const methodOf = (name: Method): MethodDefinition => METHOD_DEFINITIONS[name]

/** The methods that test a parameter. */
export const methodsFor = (parameter: Parameter): readonly Method[] =>
  METHODS.filter((name) => methodOf(name).parameters.includes(parameter))
