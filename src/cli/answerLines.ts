import { once } from 'node:events'
import type { Readable, Writable } from 'node:stream'
import { answerBatch, type Batch, type Style } from './answerBatch'
import { AnswerThreads } from './answerThreads'

const LINE_END = /\r\n|[\r\n]/
/** Batches that may wait to be written, so that memory holds no more of a file than these. */
const MAX_WAITING = 16

/**
 * Answers check documents, one a line, in order, each as soon as it is there; those of a long file in other threads too. Empty
 * lines are passed over.
 *
 * @param thread - what a thread that helps runs; without it there are none
 * @returns 0 when every document was answered, 1 when one was refused
 */
export async function answerLines({
  input,
  output,
  style,
  thread,
}: Readonly<{ input: Readable; output: Writable; style: Style; thread?: URL | undefined }>): Promise<0 | 1> {
  const threads = new AnswerThreads(style, thread)
  let isRefused = false
  const write = async ({ text, refused }: Batch) => {
    isRefused ||= refused
    if (text !== '' && !output.write(text)) await once(output, 'drain')
  }
  const writings: Promise<void>[] = []
  let last = Promise.resolve()
  try {
    for await (const lines of batchesIn(input)) {
      const batch = threads.answer(lines) ?? answerBatch(lines, style)
      last = Promise.all([batch, last]).then(([answered]) => write(answered))
      // What goes wrong is met below, where it is waited for.
      last.catch(() => undefined)
      if (writings.push(last) > MAX_WAITING) await writings.shift()
    }
    await last
  } finally {
    await threads.end()
  }
  return isRefused ? 1 : 0
}

/** The lines that came at once, again and again; one that goes on in what comes next with that. */
async function* batchesIn(input: Readable): AsyncGenerator<readonly string[]> {
  const decoder = new TextDecoder()
  let begun: string[] = []
  for await (const bytes of input as AsyncIterable<Uint8Array>) {
    const [first = '', ...others] = decoder.decode(bytes, { stream: true }).split(LINE_END)
    begun.push(first)
    const next = others.pop()
    if (next === undefined) continue
    yield [begun.join(''), ...others]
    begun = [next]
  }
  yield [begun.join('') + decoder.decode()]
}
