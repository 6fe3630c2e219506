import { failure, type Outcome, success } from '@/claims/terms/outcome'

/** A column of a sample, by the names that it is known by. */
export type NamedColumn = Readonly<{ name: string; label: string }>

type Matched = Readonly<{ column: string; how: 'stated' | 'named' | 'guessed' | 'none' }>

/** Letters and digits alone, small: "Flue temp. (°C)" as "fluetempc". */
const bare = (text: string) => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '')

/** The words of a name that tell it from others. */
const wordsOf = (text: string): ReadonlySet<string> =>
  new Set(
    text
      .toLowerCase()
      .split(/[^\p{L}\p{N}]+/u)
      .filter((word) => word.length > 2),
  )

/**
 * The column of a sample that a characteristic is held against: the one that is stated, the one of its name, or the only one
 * whose name shares the most words with it.
 *
 * @returns `none` where there is no such column, or more than one; the problem `column-not-found` for a stated one that is not there
 */
export function matchColumn(
  { column, characteristic }: Readonly<{ column: string; characteristic: string }>,
  columns: readonly NamedColumn[],
): Outcome<Matched> {
  const by = (text: string) =>
    columns.find(({ name }) => name === text) ??
    only(
      columns.filter(
        ({ name, label }) => bare(name) === bare(text) || (label !== '' && bare(label) === bare(text)),
      ),
    )
  if (column !== '') {
    const stated = by(column)
    return stated ? success({ column: stated.name, how: 'stated' }) : failure(notFound(column, columns))
  }
  const named = by(characteristic)
  if (named) return success({ column: named.name, how: 'named' })
  const wanted = wordsOf(characteristic)
  const shared = columns.map(
    ({ name, label }) =>
      [...new Set([...wordsOf(name), ...wordsOf(label)])].filter((word) => wanted.has(word)).length,
  )
  const most = Math.max(0, ...shared)
  const best = most === 0 ? undefined : only(columns.filter((_, at) => shared[at] === most))
  return success(best ? { column: best.name, how: 'guessed' } : { column: '', how: 'none' })
}

const only = <T>(list: readonly T[]): T | undefined => (list.length === 1 ? list[0] : undefined)

function notFound(column: string, columns: readonly NamedColumn[]) {
  const names = columns.map(({ name }) => name)
  const there =
    names.length === 0
      ? 'It has none.'
      : `It has ${names.slice(0, 20).join(', ')}${names.length > 20 ? ' and others' : ''}.`
  const message = `The sample has no column “${column}”. ${there}`
  return { code: 'column-not-found', path: 'column', message }
}
