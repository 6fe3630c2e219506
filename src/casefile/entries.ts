import { parseJson } from '@/desk/parseJson'
/** Thrown while a case file is read, to say what is wrong from wherever it is seen. */
export class Wrong extends Error {
  readonly path: string
  constructor(path: string, message: string) {
    super(message)
    this.path = path
  }
}

/** The files of a case file, by their paths. */
export type Entries = ReadonlyMap<string, Uint8Array>

export const textOf = (bytes: Uint8Array | undefined): string =>
  bytes ? new TextDecoder().decode(bytes) : ''

/** The paths of one folder, in the order of their numbers. */
export function pathsIn(entries: Entries, folder: string, kind: string): readonly string[] {
  const paths = [...entries.keys()].filter(
    (path) => path.startsWith(`${folder}/`) && path.endsWith(`.${kind}`),
  )
  return paths.sort((a, b) => a.length - b.length || (a < b ? -1 : 1))
}

export function linesOf(entries: Entries, path: string): readonly string[] {
  const bytes = entries.get(path)
  if (!bytes) throw new Wrong(path, `${path} is missing.`)
  return textOf(bytes)
    .split('\n')
    .filter((line) => line !== '')
}

export function jsonIn(entries: Entries, path: string): unknown {
  const bytes = entries.get(path)
  if (!bytes) throw new Wrong(path, `${path} is missing.`)
  return jsonOf(textOf(bytes), path)
}

export function jsonOf(text: string, path: string): unknown {
  try {
    return parseJson(text)
  } catch (error) {
    throw new Wrong(path, `${path} can't be read as JSON: ${(error as Error).message}.`)
  }
}
