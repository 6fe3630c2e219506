import { parseJson } from './desk/parseJson'

/** What a page's own script sends to a server action: its arguments as JSON, in a text. */
const TYPE = /^text\/plain(;\s*charset=utf-8)?$/i
/** References that React writes for values JSON has no room for; every other text that begins so has a second sign before it. */
const REFERENCE = /^\$(undefined|NaN|Infinity|-Infinity|-0|\$.*|D.{24}|n-?\d{1,40})$/s

const MAX_ARGUMENTS = 10

/**
 * Why a request to a server action is refused: what is no list of plain values would otherwise end as an error of the server.
 *
 * @returns undefined where it is taken, and where it is no such request
 */
export async function actionRefusal(request: Request): Promise<string | undefined> {
  if (request.method !== 'POST' || !request.headers.has('next-action')) return undefined
  const type = request.headers.get('content-type') ?? ''
  if (!TYPE.test(type))
    return `What was sent is of the type “${type.slice(0, 100)}”, and a page sends a text.`
  try {
    const read = parseJson(await request.clone().text())
    if (Array.isArray(read) && read.length <= MAX_ARGUMENTS && isPlain(read)) return undefined
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error
  }
  return 'What was sent is no list of values, as a page sends it.'
}

function isPlain(value: unknown): boolean {
  if (typeof value === 'string') return !value.startsWith('$') || REFERENCE.test(value)
  return typeof value !== 'object' || value === null || Object.values(value).every(isPlain)
}
