const SHIFT_TO = 16

/**
 * The error of Stirling's formula: δ(z) = ln Γ(z) − [(z − ½) ln z − z + ½ ln 2π], for z > 0.
 *
 * Differences of ln Γ at large arguments lose their digits; differences of δ do not, because the large
 * parts cancel on paper. Absolute error about 1e-16.
 *
 * @param z - a positive number, no unit
 * @see C. Loader (2000), Fast and Accurate Computation of Binomial Probabilities; NIST DLMF 5.11.1
 * @example
 * stirlingError(5) // 0.0166447
 */
export function stirlingError(z: number): number {
  let shifted = z
  let shift = 0
  // Below SHIFT_TO the series is too short: climb by δ(z) − δ(z + 1) = (z + ½) ln(1 + 1/z) − 1.
  while (shifted < SHIFT_TO) {
    shift += (shifted + 0.5) * Math.log1p(1 / shifted) - 1
    shifted += 1
  }
  return shift + asymptoticSeries(shifted)
}

/** DLMF 5.11.1, coefficients B₂ₖ / (2k (2k − 1)). */
function asymptoticSeries(z: number): number {
  const r = 1 / (z * z)
  return (1 / 12 - r * (1 / 360 - r * (1 / 1260 - r * (1 / 1680 - r * (1 / 1188 - r * (691 / 360360)))))) / z
}
