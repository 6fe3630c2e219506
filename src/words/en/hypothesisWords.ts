import type { Claim } from '@/claims/claim'
import type { Hypotheses, PointHypothesis, RangeHypothesis } from '@/claims/hypotheses'
import { fullValue, RELATION_WORDS } from './claimWords'
import { formatFull, withoutMadeUpDigits } from '../figures'

const SYMBOL: Readonly<Record<Claim['parameter'], string>> = {
  mean: 'μ',
  'standard-deviation': 'σ',
  variance: 'σ²',
  proportion: 'p',
  'variance-ratio': 'σ₁²/σ₂²',
  median: 'M',
}

/** A hypothesis in symbols: "μ ≥ 15 kg". */
export function hypothesisSymbols(
  hypothesis: PointHypothesis | RangeHypothesis,
  unit: string | undefined,
): string {
  const symbol = SYMBOL[hypothesis.parameter]
  if (!('lower' in hypothesis)) {
    return `${symbol} ${hypothesis.relation} ${fullValue({ parameter: hypothesis.parameter, unit }, hypothesis.value)}`
  }
  const { parameter } = hypothesis
  const lower = fullValue({ parameter, unit: undefined }, withoutMadeUpDigits(hypothesis.lower))
  const upper = fullValue({ parameter, unit }, withoutMadeUpDigits(hypothesis.upper))
  return hypothesis.relation === 'inside'
    ? `${lower} < ${symbol} < ${upper}`
    : `${symbol} ≤ ${lower} or ${symbol} ≥ ${upper}`
}

const LATEX: Readonly<Record<string, string>> = {
  μ: '\\mu',
  σ: '\\sigma',
  'σ²': '\\sigma^2',
  'σ₁²/σ₂²': '\\sigma_1^2 / \\sigma_2^2',
  '≥': '\\ge',
  '≤': '\\le',
  '≠': '\\ne',
  or: '\\text{ or }',
}

/** The same as LaTeX. */
export function hypothesisLatex(
  hypothesis: PointHypothesis | RangeHypothesis,
  unit: string | undefined,
): string {
  return hypothesisSymbols(hypothesis, unit)
    .split(' ')
    .map((part) => LATEX[part] ?? (/^[<>=]$|^[a-zA-Z]$/.test(part) ? part : `\\text{${escaped(part)}}`))
    .join('\\;')
}

/** What no text of LaTeX holds. */
const OUTSIDE_TEXT: Readonly<Record<string, string>> = { '²': '^2', '³': '^3', '°': '^\\circ', µ: '\\mu' }

/** What means something to LaTeX, as itself. */
function escaped(text: string): string {
  return text
    .replace(/\\/g, '')
    .replace(/[{}%$#&_]/g, '\\$&')
    .replace(/[~^]/g, ' ')
    .replaceAll('\u202f', '\\,')
    .replace(/[²³°µ]/g, (letter) => `}${OUTSIDE_TEXT[letter]}\\text{`)
}

/** Which kind of test the alternative asks for. */
export function kindOfTest({ alternativeSide }: Hypotheses): string {
  switch (alternativeSide) {
    case 'less':
      return 'left-tailed'
    case 'greater':
      return 'right-tailed'
    case 'two-sided':
    case 'outside':
      return 'two-tailed'
    case 'inside':
      return 'two one-sided tests'
    default:
      return alternativeSide satisfies never
  }
}

/** Why the claim is the null or the alternative hypothesis, from its own words. */
export function hypothesisReason(claim: Claim, hypotheses: Hypotheses): string {
  const word = `“${capitalised(RELATION_WORDS[claim.relation])}”`
  const value = claim.parameter === 'proportion' ? fullValue(claim, claim.value) : formatFull(claim.value)
  switch (claim.relation) {
    case 'at-least':
    case 'at-most':
      return hypotheses.claimIs === 'null'
        ? `${word} includes ${value} itself, so the claim is the null hypothesis and only a ${claim.relation === 'at-least' ? 'shortfall' : 'surplus'} can contradict it.`
        : `${word} must be shown here, so the claim is the alternative hypothesis; equality stays in the null hypothesis.`
    case 'more-than':
    case 'less-than':
      return hypotheses.claimIs === 'alternative'
        ? `${word} leaves out ${value} itself, so the claim is the alternative hypothesis and has to be shown.`
        : `${word} stands here unless contradicted; equality stays in the null hypothesis, on the claim’s side.`
    case 'equal-to':
      return hypotheses.burden === 'challenge'
        ? `${word} is equality itself, so the claim is the null hypothesis and a gap either way can contradict it.`
        : 'Equality within a tolerance must be shown, so the claim is the alternative hypothesis.'
    case 'different-from':
      return `${word} leaves out ${value} itself, so the claim is the alternative hypothesis and has to be shown.`
    case 'within':
      return hypotheses.burden === 'challenge'
        ? 'The claim stands unless contradicted, so being inside the tolerance is the null hypothesis.'
        : 'Being inside the tolerance must be shown, so the claim is the alternative hypothesis.'
    default:
      return claim.relation satisfies never
  }
}

function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
