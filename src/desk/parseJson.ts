/** Deeper than any document of the trade: what goes through one calls itself for each level, and would run out of room. */
const DEEPEST = 100

/**
 * A text as JSON, like `JSON.parse`, but for lists and objects that stand in one another more than a hundred times.
 *
 * @throws SyntaxError
 */
export function parseJson(text: string): unknown {
  if (depthOf(text) > DEEPEST)
    throw new SyntaxError(`more than ${DEEPEST} lists and objects stand in one another`)
  return JSON.parse(text)
}

function depthOf(text: string): number {
  let [depth, deepest, isQuoted] = [0, 0, false]
  for (let at = 0; at < text.length && deepest <= DEEPEST; at += 1) {
    const code = text.charCodeAt(at)
    if (isQuoted) {
      if (code === 0x5c) at += 1
      else if (code === 0x22) isQuoted = false
    } else if (code === 0x22) isQuoted = true
    else if (code === 0x5b || code === 0x7b) deepest = Math.max(deepest, (depth += 1))
    else if (code === 0x5d || code === 0x7d) depth -= 1
  }
  return deepest
}
