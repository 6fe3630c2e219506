import type { z } from 'zod/mini'
import { failure, type Outcome, success } from './outcome'
import { problem } from './problems'

type Issue = z.core.$ZodIssue

/** What can be wrong with a document from outside: the first thing that its schema finds. */
const requestProblems = {
  unknownField: (path: string) => problem('unknownField', 'unknown-field', path, { path }),
  notInList: (path: string, seen: unknown, allowed: readonly string[]) =>
    problem('notInList', 'not-in-list', path, { path, seen, allowed }),
  missingChoice: (path: string, allowed: readonly string[]) =>
    problem('missingChoice', 'missing', path, { path, allowed }),
  outOfRange: (path: string, seen: unknown, bound: Bound) =>
    problem('outOfRange', 'out-of-range', path, { path, seen, bound }),
  wrongType: (path: string, seen: unknown, expected: string) =>
    problem('wrongType', 'wrong-type', path, { path, seen, expected }),
  missingValue: (path: string, expected: string) =>
    problem('missingValue', 'missing', path, { path, expected }),
  invalid: (path: string, issue: string) => problem('invalid', 'invalid', path, { path, issue }),
} as const

/** The end of a range that a figure lies beyond. */
export type Bound = Readonly<{ side: 'min' | 'max'; limit: number | bigint; isIncluded: boolean }>

export type RequestProblem = ReturnType<(typeof requestProblems)[keyof typeof requestProblems]>

/** Reads a document from outside by its schema, and names the first thing wrong with it. */
export function parseRequest<T>(schema: z.ZodMiniType<T>, document: unknown): Outcome<T, RequestProblem> {
  const parsed = schema.safeParse(document, { reportInput: true })
  if (parsed.success) return success(parsed.data)
  return failure(problemOf(parsed.error.issues[0]!))
}

function problemOf(issue: Issue): RequestProblem {
  const path = pathOf(issue.path)
  switch (issue.code) {
    case 'unrecognized_keys': {
      const [name] = issue.keys
      return requestProblems.unknownField(path === '' ? name! : `${path}.${name}`)
    }
    case 'invalid_union': {
      const nearest = nearestOf(issue)
      if (nearest) return nearest
      const seen = (issue.input as Record<string, unknown> | undefined)?.[issue.discriminator ?? '']
      const options = 'options' in issue ? (issue.options ?? []) : []
      return choiceProblem(path, seen, options.map(String))
    }
    case 'invalid_value':
      return choiceProblem(path, issue.input, issue.values.map(String))
    case 'too_small':
      return requestProblems.outOfRange(path, issue.input, {
        side: 'min',
        limit: issue.minimum,
        isIncluded: Boolean(issue.inclusive),
      })
    case 'too_big':
      return requestProblems.outOfRange(path, issue.input, {
        side: 'max',
        limit: issue.maximum,
        isIncluded: Boolean(issue.inclusive),
      })
    case 'invalid_type':
      return issue.input === undefined
        ? requestProblems.missingValue(path, issue.expected)
        : requestProblems.wrongType(path, issue.input, issue.expected)
    default:
      return requestProblems.invalid(path, issue.message)
  }
}

/** What is wrong with the branch of a union that was meant: the one that goes deepest before it fails. */
function nearestOf({
  errors,
  discriminator,
  path,
  input,
}: Extract<Issue, { code: 'invalid_union' }>): RequestProblem | undefined {
  if (discriminator !== undefined) return undefined
  const firsts = errors.flatMap(([first]) => (first ? [first] : []))
  const deepest = firsts.toSorted((a, b) => b.path.length - a.path.length)[0]
  if (!deepest) return undefined
  if (deepest.path.length > 0 || deepest.code !== 'invalid_type')
    return problemOf({ ...deepest, path: [...path, ...deepest.path] } as Issue)
  const expected = firsts.flatMap((one) => (one.code === 'invalid_type' ? [one.expected] : []))
  return requestProblems.wrongType(pathOf(path), input, expected.join(' or '))
}

function choiceProblem(path: string, seen: unknown, allowed: readonly string[]): RequestProblem {
  return seen === undefined
    ? requestProblems.missingChoice(path, allowed)
    : requestProblems.notInList(path, seen, allowed)
}

function pathOf(parts: readonly PropertyKey[]): string {
  return parts.reduce<string>((path, part) => {
    if (typeof part === 'number') return `${path}[${part}]`
    return path === '' ? String(part) : `${path}.${String(part)}`
  }, '')
}
