/** The id that a document carries, for its answer to carry too, whatever else is wrong with it. */
export function idOf(document: unknown): Readonly<{ id?: string }> {
  const id = (document as Readonly<{ id?: unknown }> | null | undefined)?.id
  return typeof id === 'string' ? { id } : {}
}
