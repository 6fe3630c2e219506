/** Deeper than any document of the trade: what goes through one calls itself for each level, and would run out of room. */
const DEEPEST = 100

/**
 * A text as JSON, like `JSON.parse`, but for lists and objects that stand in one another more than a hundred times, and for objects
 * that have two values by one name: JSON leaves open which is meant (RFC 8259, 4), and `JSON.parse` would say nothing of the other.
 *
 * @throws SyntaxError
 */
export function parseJson(text: string): unknown {
  const repeated = repeatedName(text)
  const value: unknown = JSON.parse(text)
  if (repeated !== undefined)
    throw new SyntaxError(`one object has “${repeated}” twice, and which is meant can't be told`)
  return value
}

const [QUOTE, BACKSLASH, COLON] = [0x22, 0x5c, 0x3a]
const [LIST, LIST_END, OBJECT, OBJECT_END] = [0x5b, 0x5d, 0x7b, 0x7d]

/** The first name that an object has twice, of a text that is JSON otherwise. */
function repeatedName(text: string): string | undefined {
  /** Of each object that is open the names so far; of each list nothing. */
  const open: (Set<string> | undefined)[] = []
  let repeated: string | undefined
  let quoted = ''
  for (let at = 0; at < text.length; at += 1) {
    const code = text.charCodeAt(at)
    if (code === QUOTE) {
      const from = at
      for (at += 1; at < text.length && text.charCodeAt(at) !== QUOTE; at += 1)
        if (text.charCodeAt(at) === BACKSLASH) at += 1
      quoted = text.slice(from, at + 1)
    } else if (code === COLON) {
      const names = open.at(-1)
      const name = nameOf(quoted)
      if (names?.has(name)) repeated ??= name
      names?.add(name)
    } else if (code === LIST || code === OBJECT) {
      if (open.push(code === OBJECT ? new Set() : undefined) > DEEPEST)
        throw new SyntaxError(`more than ${DEEPEST} lists and objects stand in one another`)
    } else if (code === LIST_END || code === OBJECT_END) open.pop()
  }
  return repeated
}

/** One name can be written in several ways: `\u0061` is an a. */
function nameOf(quoted: string): string {
  return quoted.includes('\\') ? String(JSON.parse(quoted)) : quoted.slice(1, -1)
}
