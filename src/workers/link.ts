import { transferHandlers } from 'comlink'

export { expose, proxy, type Remote, wrap } from 'comlink'

/** Shorter lists of numbers go as they are. */
const LONG = 1000

/** A long list of numbers on its way between a page and its worker. */
type Doubles = Readonly<{ listOfDoubles: Float64Array<ArrayBuffer> }>

/**
 * The same with its long lists of numbers as doubles: a list goes number by number, during which the page stands still, half a
 * second for a million readings; doubles go at once.
 */
export const packed = (value: unknown): unknown =>
  isLongList(value)
    ? ({ listOfDoubles: Float64Array.from(value) } satisfies Doubles)
    : withEach(value, packed)

/** What was packed, to the last bit. */
export const unpacked = (value: unknown): unknown =>
  isDoubles(value) ? Array.from(value.listOfDoubles) : withEach(value, unpacked)

/** A list or a plain object: what else is handed over is left to the browser. */
const isPlain = (value: unknown): value is object =>
  ['[object Array]', '[object Object]'].includes(Object.prototype.toString.call(value))

function isLongList(value: unknown): value is readonly number[] {
  if (!Array.isArray(value) || value.length < LONG) return false
  // By places, so that one that is empty is seen.
  for (let at = 0; at < value.length; at += 1) if (typeof value[at] !== 'number') return false
  return true
}

/** Not by the name alone: a column may be called so. */
const isDoubles = (value: unknown): value is Doubles =>
  isPlain(value) && 'listOfDoubles' in value && ArrayBuffer.isView(value.listOfDoubles)

/** A list or a plain object with each of its parts changed; itself where none is. */
function withEach(value: unknown, change: (part: unknown) => unknown): unknown {
  if (!isPlain(value)) return value
  if (Array.isArray(value)) {
    const parts = value.map(change)
    return parts.every((part, at) => Object.is(part, value[at])) ? value : parts
  }
  const parts = Object.entries(value).map(([key, part]) => [key, change(part), part] as const)
  const isSame = parts.every(([, changed, part]) => Object.is(changed, part))
  return isSame ? value : Object.fromEntries(parts)
}

transferHandlers.set('long lists', {
  canHandle: isPlain,
  serialize: (value) => [packed(value), []],
  deserialize: unpacked,
})
