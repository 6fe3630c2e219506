/** So many units in the last place of the largest figure come from reading and subtracting decimals. */
const ROUNDING = 4 * Number.EPSILON

/**
 * The readings less a value, ordered by their size, with those dropped that are 0.
 *
 * Decimals are not exact in floating point: 15 − 14.93 and 15.07 − 15 differ there. Sizes nearer to one another than
 * that are the same.
 *
 * @returns the differences, and whether each is as large as the one before it
 */
export function differencesFrom(
  values: readonly number[],
  value: number,
): Readonly<{ differences: readonly number[]; isTied: (index: number) => boolean }> {
  const slack = slackOf(values, value)
  const differences = values
    .map((reading) => reading - value)
    .filter((difference) => Math.abs(difference) > slack)
    .sort((a, b) => Math.abs(a) - Math.abs(b))
  const size = (index: number) => Math.abs(differences[index]!)
  return { differences, isTied: (index) => index > 0 && size(index) - size(index - 1) <= slack }
}

function slackOf(values: readonly number[], value: number): number {
  let largest = Math.abs(value)
  for (let i = 0; i < values.length; i += 1) {
    const size = Math.abs(values[i]!)
    // A reading that is a limit stands without end, and nothing is rounded in it.
    if (size > largest && size < Infinity) largest = size
  }
  return ROUNDING * largest
}

/** How many readings lie above a value and how many equal it, but for what decimals lose in floating point. */
export function countsAbout(
  values: readonly number[],
  value: number,
): Readonly<{ above: number; equal: number }> {
  const slack = slackOf(values, value)
  let [above, equal] = [0, 0]
  for (let i = 0; i < values.length; i += 1) {
    const difference = values[i]! - value
    if (Math.abs(difference) <= slack) equal += 1
    else if (difference > 0) above += 1
  }
  return { above, equal }
}

/** Whether a reading is a value, but for what decimals lose in floating point. */
export const areEqual = (reading: number, value: number): boolean =>
  Math.abs(reading - value) <= ROUNDING * Math.max(Math.abs(reading), Math.abs(value))
