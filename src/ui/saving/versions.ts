/** One field of a draft in words. */
export type VersionLine = Readonly<{ name: string; text: string }>

/** A field of which two versions say different things. */
export type Difference = Readonly<{ name: string; here: string; stored: string }>

/** Longer texts are shown from a little before where they begin to differ. */
const MAX_SHOWN = 120
const BEFORE = 20

/** In what two versions of a draft differ, field by field. */
export function differencesBetween(
  here: readonly VersionLine[],
  stored: readonly VersionLine[],
): readonly Difference[] {
  return here.flatMap(({ name, text }) => {
    const other = stored.find((line) => line.name === name)?.text ?? ''
    if (other === text) return []
    const from = firstDifference(text, other)
    return [{ name, here: around(text, from), stored: around(other, from) }]
  })
}

function firstDifference(one: string, other: string): number {
  let at = 0
  while (at < one.length && one[at] === other[at]) at += 1
  return at
}

function around(text: string, from: number): string {
  if (text.length <= MAX_SHOWN) return text
  const start = Math.max(0, from - BEFORE)
  const end = start + MAX_SHOWN
  return `${start > 0 ? '… ' : ''}${text.slice(start, end)}${end < text.length ? ' …' : ''}`
}
