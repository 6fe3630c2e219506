import { type Answer, answer } from '@/answers/answer'
import { parseJson } from '@/desk/parseJson'

export type Style = 'json' | 'pretty'
/** What lines came to, a line each, and whether any of them was refused. */
export type Batch = Readonly<{ text: string; refused: boolean }>

const BYTE_ORDER_MARK = /^\ufeff/

/** Answers lines in order, each a check document; empty ones are passed over. */
export async function answerBatch(lines: readonly string[], style: Style): Promise<Batch> {
  // Words for people are read only where they are wanted.
  const written = style === 'pretty' ? (await import('@/answers/summary')).summary : JSON.stringify
  const answers = lines
    .map((line) => line.replace(BYTE_ORDER_MARK, ''))
    .filter((line) => line.trim() !== '')
    .map(answerTo)
  return {
    text: answers.map((answered) => `${written(answered)}\n`).join(''),
    refused: answers.some(({ ok }) => !ok),
  }
}

function answerTo(line: string): Answer {
  try {
    return answer(parseJson(line))
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error
    const seen = line.length > 60 ? `${line.slice(0, 60)}…` : line
    const message = `The line can't be read as JSON: ${seen} (${error.message}). Write one whole check document on a line.`
    return { ok: false, error: { code: 'not-json', path: '', message } }
  }
}
