import { compareGroups, type ComputedGroups } from '@/claims/groups/groups'
import type { GroupFigures } from '@/claims/groups/judged'
import { groupsRequestSchema } from '@/claims/groups/groupsRequest'
import type { CheckError } from '@/claims/checkAnswer'
import { isAllFinite } from '@/claims/terms/isAllFinite'
import { failure } from '@/claims/terms/outcome'
import { parseRequest } from '@/claims/terms/parseRequest'
import { problems } from '@/claims/terms/problems'
import { CORE_VERSION } from '@/claims/terms/version'
import { problemWords } from '@/words/en/problems'
import { idOf } from './idOf'

/** A group with why it was not tested, where it was not, in a sentence. */
export type GroupLine = Omit<GroupFigures, 'why'> & Readonly<{ why?: string }>
export type GroupsResult = Readonly<{
  id?: string
  ok: true
  coreVersion: string
  groups: readonly GroupLine[]
  between?: NonNullable<ComputedGroups['between']>
}>
export type GroupsAnswer = GroupsResult | CheckError

/** A line with why it was not tested in a sentence. */
export function lineInWords<Line extends GroupFigures>({
  why,
  ...known
}: Line): Omit<Line, 'why'> & GroupLine {
  return { ...known, ...(why ? { why: problemWords(why).message } : {}) }
}

/** Answers one claim held against many groups at once. */
export function groups(document: unknown): GroupsAnswer {
  const id = idOf(document)
  const request = parseRequest(groupsRequestSchema, document)
  const computed = request.ok ? compareGroups(request.value.groups) : request
  const answered =
    computed.ok && !isAllFinite(computed.value) ? failure(problems.requestOutOfRange('groups')) : computed
  if (!answered.ok) return { ...id, ok: false, error: problemWords(answered.problem) }
  const { groups: found, between } = answered.value
  return {
    ...{ ...id, ok: true, coreVersion: CORE_VERSION },
    groups: found.map(lineInWords),
    ...(between ? { between } : {}),
  }
}
