import { type ControlPlan, controlPlanSchema, faultIn } from '@/claims/terms/controlPlan'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { parseRequest } from '@/claims/terms/parseRequest'
import { parseJson } from '@/desk/parseJson'
import { planFaultWords } from '@/words/en/controlPlanWords'
import { problemWords } from '@/words/en/problems'
import { readNumber } from './reading/number'

/** A control plan as a person types it: lists of lines, a row of the plan in each. */
export type PlanTexts = Readonly<{
  name: string
  source: string
  isFromMemory: boolean
  averageLevel: string
  /** "100 to 500: 50, 3" or "3201 or more: 125, 7". */
  sampling: string
  /** "up to 50: 9 %" or "up to 100: 4.5". */
  deficiencies: string
  /** "up to 1000: 0.1" or "above: 1". */
  rounding: string
  otherwiseShare: string
  otherwiseLevel: string
}>

const shown = (value: number) => String(value)

/** A plan as the texts that it is typed in. */
export function textsOfPlan(plan: ControlPlan): PlanTexts {
  const { name, source, isFromMemory, averageLevel, sampling, deficiencies, rounding, otherwise } = plan
  return {
    ...{ name, source, isFromMemory },
    averageLevel: shown(averageLevel),
    sampling: sampling
      .map(
        ({ from, to, n, allowed }) =>
          `${to === undefined ? `${from} or more` : `${from} to ${to}`}: ${n}, ${allowed}`,
      )
      .join('\n'),
    deficiencies: deficiencies
      .map(({ upTo, quantity, percent }) => `up to ${upTo}: ${quantity ?? `${percent} %`}`)
      .join('\n'),
    rounding: rounding
      .map(({ upTo, step }) => `${upTo === undefined ? 'above' : `up to ${upTo}`}: ${step}`)
      .join('\n'),
    otherwiseShare: shown(otherwise.share),
    otherwiseLevel: shown(otherwise.level),
  }
}

const NUMBER = '([\\d.]+)'
const SAMPLING = new RegExp(
  `^${NUMBER}\\s*(?:(?:to|-|–)\\s*${NUMBER}|or more)\\s*:\\s*${NUMBER}\\s*,\\s*${NUMBER}$`,
  'i',
)
const DEFICIENCY = new RegExp(`^(?:up to\\s*)?${NUMBER}\\s*:\\s*${NUMBER}\\s*(%?)$`, 'i')
const ROUNDING = new RegExp(`^(?:(?:up to\\s*)?${NUMBER}|above)\\s*:\\s*${NUMBER}$`, 'i')

/**
 * Reads a control plan that somebody typed.
 *
 * @returns the plan, or the first line that can't be read or followed, by its field
 */
export function readPlanTexts(texts: PlanTexts): Outcome<ControlPlan> {
  const sampling = rowsOf(
    'sampling',
    texts.sampling,
    SAMPLING,
    '100 to 500: 50, 3',
    ([, from, to, n, allowed]) => ({
      ...{ from: Number(from), n: Number(n), allowed: Number(allowed) },
      ...(to === undefined ? {} : { to: Number(to) }),
    }),
  )
  if (!sampling.ok) return sampling
  const deficiencies = rowsOf(
    'deficiencies',
    texts.deficiencies,
    DEFICIENCY,
    'up to 50: 9 %',
    ([, upTo, value, percent]) => ({
      upTo: Number(upTo),
      ...(percent === '%' ? { percent: Number(value) } : { quantity: Number(value) }),
    }),
  )
  if (!deficiencies.ok) return deficiencies
  const rounding = rowsOf('rounding', texts.rounding, ROUNDING, 'up to 1000: 0.1', ([, upTo, step]) => ({
    ...(upTo === undefined ? {} : { upTo: Number(upTo) }),
    step: Number(step),
  }))
  if (!rounding.ok) return rounding
  const levels = (['averageLevel', 'otherwiseShare', 'otherwiseLevel'] as const).map((field) => {
    const read = readNumber(texts[field], 'point')
    return read.ok ? read.value : Number.NaN
  })
  const at = levels.findIndex((level) => !(level > 0 && level < 1))
  if (at >= 0) {
    const field = (['averageLevel', 'otherwiseShare', 'otherwiseLevel'] as const)[at]!
    const message = `“${texts[field]}” is no level or share. Write one between 0 and 1, such as 0.05.`
    return failure({ code: 'not-a-number', path: field, message })
  }
  const [averageLevel, share, level] = levels as [number, number, number]
  return followable({
    ...{
      name: texts.name.trim(),
      source: texts.source.trim(),
      isFromMemory: texts.isFromMemory,
      averageLevel,
    },
    ...{ sampling: sampling.value, deficiencies: deficiencies.value, rounding: rounding.value },
    otherwise: { share, level },
  })
}

/** Reads a control plan from the JSON that one was exported as. */
export function readPlanJson(text: string): Outcome<ControlPlan> {
  try {
    return followable(parseJson(text))
  } catch {
    return failure({
      code: 'not-json',
      path: 'plan',
      message: "This can't be read as JSON. Choose a file that a control plan was exported to.",
    })
  }
}

function followable(plan: unknown): Outcome<ControlPlan> {
  const read = parseRequest(controlPlanSchema, plan)
  if (!read.ok) return failure(problemWords(read.problem))
  const fault = faultIn(read.value)
  return fault
    ? failure({ code: 'control-plan', path: fault.path, message: planFaultWords(fault) })
    : success(read.value)
}

function rowsOf<Row>(
  field: keyof PlanTexts,
  text: string,
  pattern: RegExp,
  example: string,
  rowOf: (parts: readonly (string | undefined)[]) => Row,
): Outcome<Row[]> {
  const rows: Row[] = []
  for (const line of text
    .split('\n')
    .map((one) => one.trim())
    .filter((one) => one !== '')) {
    const parts = pattern.exec(line)
    if (
      !parts ||
      parts
        .slice(1)
        .some((part) => part !== undefined && part !== '%' && part !== '' && !Number.isFinite(Number(part)))
    )
      return failure(notRead(field, line, example))
    rows.push(rowOf(parts))
  }
  return success(rows)
}

function notRead(path: string, line: string, example: string): Problem {
  return {
    code: 'not-read',
    path,
    message: `“${line.slice(0, 80)}” can’t be read. Write a row a line, such as ${example}.`,
  }
}
