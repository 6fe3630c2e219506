/**
 * Exponentials, logarithms and powers are rounded in the last digits otherwise by one JavaScript engine than by another; figures
 * as near to each other as this part of them are the same one. It is far below every digit shown, and far above that rounding.
 */
const ROUNDING = 1e-9

/**
 * The paths at which two pieces of plain data differ; none where they say the same. Whole numbers and texts are the same or not;
 * other numbers may be a rounding apart.
 *
 * @param leftOut - patterns of paths that are not looked at
 * @example differing({ p: 0.1, n: 2 }, { p: 0.1 + 1e-17, n: 3 }) // ['n']
 */
export function differing(
  one: unknown,
  other: unknown,
  leftOut: readonly RegExp[] = [],
  path = '',
): readonly string[] {
  if (isSame(one, other) || leftOut.some((pattern) => pattern.test(path))) return []
  const isBoth = [one, other].every((value) => value !== null && typeof value === 'object')
  if (!isBoth) return [path]
  const at = (value: unknown, key: string) => (value as Readonly<Record<string, unknown>>)[key]
  const keys = new Set([...Object.keys(one as object), ...Object.keys(other as object)])
  return [...keys].flatMap((key) =>
    differing(at(one, key), at(other, key), leftOut, path === '' ? key : `${path}.${key}`),
  )
}

function isSame(one: unknown, other: unknown): boolean {
  if (one === other || Object.is(one, other)) return true
  if (typeof one !== 'number' || typeof other !== 'number') return false
  const isCounted = Number.isInteger(one) && Number.isInteger(other)
  return !isCounted && Math.abs(one - other) < ROUNDING * Math.max(Math.abs(one), Math.abs(other))
}
