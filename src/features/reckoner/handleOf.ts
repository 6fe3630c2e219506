import type { ReckonDraft } from '@/desk/reckonDraft'
import { readTypedNumber } from '@/intake/reading/number'
import type { Ends } from '@/statistics/inference/interval'

/** The end that can be pulled: the one that is typed, or of two that were found the upper one. */
export function handleOf({ given, text }: ReckonDraft, { lower, upper }: Ends): number | undefined {
  const typed = given === 'point' ? readTypedNumber(text, 'point') : undefined
  return typed?.ok && typed.value === lower ? lower : (upper ?? lower)
}
