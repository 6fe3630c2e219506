import { answer, type Answer } from '@/answers/answer'
import { AT_ONCE } from '@/answers/computing'
import { checkOutcome } from '@/claims/check'
import { parseJson } from '@/desk/parseJson'

/** What the server has done in a thread of its own, so that others are answered meanwhile. */
export const JOBS = {
  check: AT_ONCE.check,
  examine: AT_ONCE.examine,
  outcome: checkOutcome,
  /** Requests of the command line's format, each as text. */
  answers: (texts: readonly string[]): readonly Answer[] => texts.map(answerTo),
} as const
export type Jobs = typeof JOBS

/** One job: what the pool calls. */
export default function perform<Name extends keyof Jobs>({
  job,
  input,
}: Readonly<{ job: Name; input: Parameters<Jobs[Name]>[0] }>): ReturnType<Jobs[Name]> {
  return (JOBS[job] as (input: unknown) => ReturnType<Jobs[Name]>)(input)
}

function answerTo(text: string): Answer {
  try {
    return answer(parseJson(text))
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error
    const message = `The request is not JSON (${error.message.slice(0, 200)}). Send one whole document.`
    return { ok: false, error: { code: 'not-json', path: '', message } }
  }
}
