/**
 * Spaces of no width, and marks of a direction that numbers have anyway: texts out of web pages and messages bring them. None
 * that may stand for a minus, or turns round what is shown, is among them.
 */
const UNSEEN = new Set('\u200b\u200c\u200d\u200e\u202a\u202c\u2060\u2066\u2068\u2069')

/**
 * A text without the spaces at its ends, and without what nobody sees there.
 *
 * @example
 * trimmed(' \u202a14.93\u202c') // '14.93'
 */
export function trimmed(text: string): string {
  let [start, end] = [0, text.length]
  while (start < end && isUnseen(text.charAt(start))) start += 1
  while (start < end && isUnseen(text.charAt(end - 1))) end -= 1
  return text.slice(start, end)
}

const isUnseen = (character: string) =>
  // As nearly every text begins and ends otherwise.
  !(character > ' ' && character <= '~') && (UNSEEN.has(character) || character.trim() === '')
