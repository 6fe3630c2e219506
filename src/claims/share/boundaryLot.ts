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

/** The true share of a lot that is meant by one that is no whole number of its units: that nearer to what is claimed. */
export const possibleShare = (
  truth: number,
  { value, lotSize }: Readonly<{ value: number; lotSize: number }>,
): number => boundaryLot(truth, lotSize, truth < value ? 'less' : 'greater') / lotSize
