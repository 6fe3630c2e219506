import type { VersionLine } from './versions'

/** The fields of a draft in words: texts as they are, everything else as `special` says. */
export function linesOf<T extends object>(
  draft: T,
  names: Readonly<Record<keyof T, string>>,
  special: Readonly<{ [K in keyof T]?: (value: T[K]) => string }>,
): readonly VersionLine[] {
  return (Object.keys(names) as (keyof T)[]).map((field) => {
    const value = draft[field]
    const say = special[field]
    return { name: names[field], text: say ? say(value) : value === null ? '' : String(value) }
  })
}
