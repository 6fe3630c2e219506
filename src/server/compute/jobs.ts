import { answer, type Answer } from '@/answers/answer'
import { AT_ONCE } from '@/answers/computing'
import { outcomeOfClaim } from '@/answers/claim'
import { parseJson } from '@/desk/parseJson'
import { planToLock } from '@/intake/lockPlan'
import { readWorkbook, type WorkbookChoice } from '@/intake/workbook/workbook'
import type { Report } from '@/report/document/document'
import type { ReportFileHow } from '@/report/files'

/** What the server has done in a thread of its own, so that others are answered meanwhile. */
export const JOBS = {
  check: AT_ONCE.check,
  estimate: AT_ONCE.estimate,
  groups: AT_ONCE.groups,
  lots: AT_ONCE.lots,
  examine: AT_ONCE.examine,
  outcome: outcomeOfClaim,
  planToLock,
  /** The part of a workbook that is chosen. */
  workbook: ({ bytes, choice }: Readonly<{ bytes: Uint8Array; choice: WorkbookChoice | undefined }>) =>
    readWorkbook(bytes, choice),
  /** A report as a file. What makes one takes long to load, and is loaded where it is wanted. */
  report: async ({ report, ...how }: Readonly<{ report: Report }> & ReportFileHow) =>
    (await import('@/report/files')).reportFile(report, how),
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
    const message = `The request can't be read as JSON (${error.message.slice(0, 200)}). Send one whole document.`
    return { ok: false, error: { code: 'not-json', path: '', message } }
  }
}
