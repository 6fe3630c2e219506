import { parseJson } from '@/desk/parseJson'
import { once } from 'node:events'
import { createInterface } from 'node:readline'
import type { Readable, Writable } from 'node:stream'
import { type Answer, answer } from '@/answers/answer'

const BYTE_ORDER_MARK = /^\ufeff/

/**
 * Answers check documents, one a line, in order. Empty lines are passed over.
 *
 * @returns 0 when every document was answered, 1 when one was refused
 */
export async function answerLines(
  streams: Readonly<{ input: Readable; output: Writable; style: 'json' | 'pretty' }>,
): Promise<0 | 1> {
  const { input, output, style } = streams
  // Words for people are read only where they are wanted.
  const written = style === 'pretty' ? (await import('@/answers/summary')).summary : JSON.stringify
  let isRefused = false
  for await (const line of createInterface({ input, crlfDelay: Infinity })) {
    const text = line.replace(BYTE_ORDER_MARK, '')
    if (text.trim() === '') continue
    const result = answerTo(text)
    isRefused ||= !result.ok
    if (!output.write(`${written(result)}\n`)) await once(output, 'drain')
  }
  return isRefused ? 1 : 0
}

function answerTo(line: string): Answer {
  try {
    return answer(parseJson(line))
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error
    const seen = line.length > 60 ? `${line.slice(0, 60)}…` : line
    const message = `The line is not JSON: ${seen} (${error.message}). Write one whole check document on a line.`
    return { ok: false, error: { code: 'not-json', path: '', message } }
  }
}
