/**
 * A function that keeps its last results, for what is asked for again and again: the same sizes and levels in every
 * check of a case.
 *
 * @param most - how many results are kept, before all are dropped
 * @param make - a pure function of one text or number
 * @example
 * memoized(64, (n) => n * n)(7) // 49
 */
export function memoized<K extends string | number, V>(max: number, make: (key: K) => V): (key: K) => V {
  const results = new Map<K, V>()
  return (key) => {
    const known = results.get(key)
    if (known !== undefined) return known
    const made = make(key)
    if (results.size >= max) results.clear()
    results.set(key, made)
    return made
  }
}
