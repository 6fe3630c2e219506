import { type CheckResult, checkResultSchema } from '@/claims/result'
import type { CheckDocument } from '@/claims/terms/request'
import { formatFull } from '../figures'
import { formatsFor } from '../formats'
import { hypothesisSymbols } from './hypothesisWords'
import { METHOD_WORDS } from './methods'
import { sampleLines } from './sampleLines'
import { type FigureLine, testLines } from './testLines'

/** What of a claim, as it was typed, its figures are shown by; a record of an earlier version may lack any of it. */
export type TypedClaim = Readonly<{
  unit?: string | undefined
  exposureUnit?: string | undefined
  decimals?: string | undefined
}>

/** The decimals that were chosen for a claim; none where what was typed is no number of them. */
export function chosenDecimals({ decimals = '' }: TypedClaim): number | undefined {
  return /^\d{1,2}$/.test(decimals.trim()) ? Number(decimals) : undefined
}

/**
 * What was tested of a claim when it was signed, how, and every figure that it came to; nothing where the figures are those of
 * another core, in another form.
 */
export function signedLines(
  draft: TypedClaim,
  { claim }: CheckDocument,
  result: unknown,
): readonly (Omit<FigureLine, 'full'> & Partial<FigureLine>)[] {
  const known = checkResultSchema.safeParse(result)
  if (!known.success) return []
  const figures: CheckResult = known.data
  const { hypotheses, test } = figures
  const chosen = chosenDecimals(draft)
  const formats = formatsFor(claim, figures, chosen)
  const { unit = '', exposureUnit = '' } = draft
  return [
    { name: 'Null hypothesis', shown: hypothesisSymbols(hypotheses.null, claim.unit) },
    { name: 'Alternative hypothesis', shown: hypothesisSymbols(hypotheses.alternative, claim.unit) },
    { name: 'Method', shown: METHOD_WORDS[test.method].name },
    { name: 'Significance level', shown: formatFull(test.significanceLevel) },
    ...sampleLines(figures, formats, { unit, exposureUnit, chosen }),
    ...testLines(figures, formats),
  ]
}
