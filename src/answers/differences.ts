import type { CheckAnswer } from '@/claims/result'

/**
 * What two results of the same check may differ in without saying anything else: which core made them, how the working is
 * worded, and what an earlier core did not give.
 */
const LEFT_OUT: readonly RegExp[] = [
  /^(?:coreVersion|working|kind)$/,
  /^test\.(?:parts\.\d+\.)?figures$/,
  /^conditions\.\d+\.code$/,
]

/** What an earlier core did not say, and may not be lacking where it was said. */
const MAY_BE_NEW = 'finding.basis'

/** The paths at which two results differ; none where every figure and sentence is the same. */
export function differencesIn(before: CheckAnswer, after: CheckAnswer): readonly string[] {
  return differing(before, after)
}

/** The paths at which two pieces of plain data differ. */
function differing(one: unknown, other: unknown, path = ''): readonly string[] {
  if (Object.is(one, other) || LEFT_OUT.some((pattern) => pattern.test(path))) return []
  if (path === MAY_BE_NEW && one === undefined) return []
  const isBoth = [one, other].every((value) => value !== null && typeof value === 'object')
  if (!isBoth) return [path]
  const at = (value: unknown, key: string) => (value as Readonly<Record<string, unknown>>)[key]
  const keys = new Set([...Object.keys(one as object), ...Object.keys(other as object)])
  return [...keys].flatMap((key) =>
    differing(at(one, key), at(other, key), path === '' ? key : `${path}.${key}`),
  )
}
