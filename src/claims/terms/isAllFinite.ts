/** Whether a piece of plain data holds no NaN and no infinity at any depth. */
export function isAllFinite(data: unknown): boolean {
  if (typeof data === 'number') return Number.isFinite(data)
  if (typeof data !== 'object' || data === null) return true
  return Object.values(data).every(isAllFinite)
}
