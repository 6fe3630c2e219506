/** Keeps a value as the one that was kept last, and lets go of the one that was kept first where there are too many. */
export function keepLast<T>(kept: Map<string, T>, key: string, value: T, max: number): void {
  kept.delete(key)
  kept.set(key, value)
  if (kept.size > max) kept.delete(kept.keys().next().value!)
}
