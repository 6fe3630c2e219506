import 'server-only'
import type { z } from 'zod/mini'
import '@/claims/terms/zod'
import { failure, type Outcome, success } from '@/claims/terms/outcome'

/** Parses what came from outside, or says what of it was not as it has to be. */
export function readInput<T>(schema: z.ZodMiniType<T>, input: unknown): Outcome<T> {
  const parsed = schema.safeParse(input)
  if (parsed.success) return success(parsed.data)
  const [issue] = parsed.error.issues
  const path = issue?.path.join('.') ?? ''
  return failure({
    code: 'invalid',
    path,
    message: `What was sent is not as it has to be: ${path === '' ? '' : `${path}: `}${issue?.message}.`,
  })
}
