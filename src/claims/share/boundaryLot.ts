import type { Alternative } from '@/statistics/inference/alternative'

/** A share of the lot this near to a whole number of units is that number. */
const WHOLE = 1e-9

/** How many units of a lot make a share: of too few the smallest number that is no less, of too many the largest that is no more. */
export function boundaryLot(
  share: number,
  lotSize: number,
  alternative: Exclude<Alternative, 'two-sided'>,
): number {
  const units = share * lotSize
  const nearest = Math.round(units)
  if (Math.abs(units - nearest) <= WHOLE) return nearest
  return alternative === 'less' ? Math.ceil(units) : Math.floor(units)
}

/**
 * The true share of a lot that is meant by one that is no whole number of its units: that nearer to what is claimed.
 *
 * @param claimed.value - the claimed share; at it, the lot that only just holds the claim
 */
export function possibleShare(
  truth: number,
  claimed: Readonly<{ value: number; lotSize: number; alternative: Alternative }>,
): number {
  const { value, lotSize, alternative } = claimed
  const isBelow = alternative === 'two-sided' ? truth < value : alternative === 'less'
  return boundaryLot(truth, lotSize, isBelow ? 'less' : 'greater') / lotSize
}
