/** A page of what was found, counted from 0. */
export type Page = Readonly<{ page: number; pageSize: number }>

/**
 * How many there are in all: where a page holds the last of them that is known, and nothing is counted.
 *
 * @param found - what is on the page
 */
export async function totalOf(
  found: readonly unknown[],
  { page, pageSize }: Page,
  counted: () => Promise<readonly Readonly<{ total: number }>[]>,
): Promise<number> {
  const isLast = found.length < pageSize && (found.length > 0 || page === 0)
  return isLast ? page * pageSize + found.length : (await counted())[0]!.total
}
