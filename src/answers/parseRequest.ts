import type { z } from 'zod'
import { failure, type Outcome, type Problem, success } from '@/claims/outcome'

type Issue = z.core.$ZodIssue

/** Reads a document from outside by its schema, and names the first thing wrong with it. */
export function parseRequest<T>(schema: z.ZodType<T>, document: unknown): Outcome<T> {
  const parsed = schema.safeParse(document, { reportInput: true })
  if (parsed.success) return success(parsed.data)
  return failure(problemOf(parsed.error.issues[0]!))
}

function problemOf(issue: Issue): Problem {
  const path = pathOf(issue.path)
  switch (issue.code) {
    case 'unrecognized_keys': {
      const [name] = issue.keys
      const unknown = path === '' ? name! : `${path}.${name}`
      return {
        code: 'unknown-field',
        path: unknown,
        message: `“${unknown}” is not a field that is known here. Leave it out.`,
      }
    }
    case 'invalid_union': {
      const seen = (issue.input as Record<string, unknown> | undefined)?.[issue.discriminator ?? '']
      const options = 'options' in issue ? (issue.options ?? []) : []
      return listProblem(path, seen, options.map(String))
    }
    case 'invalid_value':
      return listProblem(path, issue.input, issue.values.map(String))
    case 'too_small':
      return rangeProblem(path, issue.input, `${issue.inclusive ? 'at least' : 'more than'} ${issue.minimum}`)
    case 'too_big':
      return rangeProblem(path, issue.input, `${issue.inclusive ? 'at most' : 'less than'} ${issue.maximum}`)
    case 'invalid_type':
      return typeProblem(path, issue.input, issue.expected)
    default:
      return { code: 'invalid', path, message: `${named(path)} cannot be read: ${issue.message}.` }
  }
}

function listProblem(path: string, seen: unknown, allowed: readonly string[]): Problem {
  if (seen === undefined) return missing(path, `one of: ${allowed.join(', ')}`)
  return {
    code: 'not-in-list',
    path,
    message: `${named(path)} is ${shown(seen)}; it has to be one of: ${allowed.join(', ')}.`,
  }
}

function rangeProblem(path: string, seen: unknown, needed: string): Problem {
  return { code: 'out-of-range', path, message: `${named(path)} is ${shown(seen)}; it has to be ${needed}.` }
}

const EXPECTED: Readonly<Record<string, string>> = {
  int: 'a whole number',
  number: 'a number within the range of a double',
  string: 'a text',
  object: 'an object',
  array: 'a list',
  boolean: 'true or false',
}

function typeProblem(path: string, seen: unknown, expected: string): Problem {
  const needed = EXPECTED[expected] ?? expected
  if (seen === undefined) return missing(path, needed)
  return { code: 'wrong-type', path, message: `${named(path)} is ${shown(seen)}; it has to be ${needed}.` }
}

function missing(path: string, needed: string): Problem {
  return { code: 'missing', path, message: `${named(path)} is missing; state ${needed}.` }
}

function named(path: string): string {
  return path === '' ? 'The check document' : `“${path}”`
}

function shown(value: unknown): string {
  if (typeof value === 'number') return String(value)
  const text = JSON.stringify(value) ?? String(value)
  return text.length > 60 ? `${text.slice(0, 60)}…` : text
}

function pathOf(parts: readonly PropertyKey[]): string {
  return parts.reduce<string>((path, part) => {
    if (typeof part === 'number') return `${path}[${part}]`
    return path === '' ? String(part) : `${path}.${String(part)}`
  }, '')
}
