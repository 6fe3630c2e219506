/**
 * The share p at which (x − n p) / √(n p (1 − p)) equals z: Wilson's limit, the lower one for z > 0.
 *
 * The root nearer to an end of the scale follows from the product of the two, since their difference would lose its
 * digits.
 *
 * @param input.successes - x of n; moved by a half where a continuity correction applies
 * @see E. Wilson (1927), J. American Statistical Association 22, 209-212
 * @example
 * wilsonLimit({ successes: 172, sampleSize: 200, z: -1.96 }) // 0.901331
 */
export function wilsonLimit(input: Readonly<{ successes: number; sampleSize: number; z: number }>): number {
  const { successes: x, sampleSize: n, z } = input
  const size = Math.abs(z)
  if (z > 0) return lowerRoot(x, n, size)
  const upper = upperRoot(x, n, size)
  return upper > 0.5 ? 1 - lowerRoot(n - x, n, size) : upper
}

function upperRoot(x: number, n: number, z: number): number {
  const spread = Math.sqrt(Math.max(0, (x / n) * (n - x)) + (z * z) / 4)
  return (x + (z * z) / 2 + z * spread) / (n + z * z)
}

function lowerRoot(x: number, n: number, z: number): number {
  if (x <= 0) return 0
  const upper = upperRoot(x, n, z)
  return ((x / n) * (x / (n + z * z))) / upper
}
