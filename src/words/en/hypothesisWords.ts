import type { Claim } from '@/claims/terms/claim'
import type { Hypotheses, PointHypothesis, RangeHypothesis } from '@/claims/terms/hypotheses'
import { parameterOf } from '@/claims/all'
import { fullValue } from './claimWords'
import { RELATION_SENTENCES, RELATION_WORDS } from './relations'
import { formatFull, withoutMadeUpDigits } from '../figures'

/** A hypothesis in symbols: "μ ≥ 15 kg". */
export function hypothesisSymbols(
  hypothesis: PointHypothesis | RangeHypothesis,
  unit: string | undefined,
): string {
  const symbol = parameterOf(hypothesis.parameter).symbol.text
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
  const { text, latex } = parameterOf(hypothesis.parameter).symbol
  return hypothesisSymbols(hypothesis, unit)
    .split(' ')
    .map(
      (part) =>
        (part === text ? latex : undefined) ??
        LATEX[part] ??
        (/^[<>=]$|^[a-zA-Z]$/.test(part) ? part : `\\text{${escaped(part)}}`),
    )
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
  const { relation, parameter } = claim
  const isPercent = parameterOf(parameter).scale === 100
  return RELATION_SENTENCES[relation].reason(hypotheses, {
    word: `“${capitalised(RELATION_WORDS[relation])}”`,
    value: isPercent ? fullValue(claim, claim.value) : formatFull(claim.value),
  })
}

function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
