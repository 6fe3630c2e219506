import { compareLots, type ComputedLots, type LotFigures } from '@/claims/groups/lots'
import { lotsRequestSchema } from '@/claims/groups/lotsRequest'
import type { CheckAnswer, CheckError } from '@/claims/checkAnswer'
import { isAllFinite } from '@/claims/terms/isAllFinite'
import { failure } from '@/claims/terms/outcome'
import { parseRequest } from '@/claims/terms/parseRequest'
import { problems } from '@/claims/terms/problems'
import { CORE_VERSION } from '@/claims/terms/version'
import { check } from './check'
import { lineInWords } from './groups'
import { idOf } from './idOf'
import { problemWords } from '@/words/en/problems'

export type LotLine = Omit<LotFigures, 'why'> & Readonly<{ why?: string }>
export type LotsResult = Readonly<{
  id?: string
  ok: true
  coreVersion: string
  lots: readonly LotLine[]
  between?: NonNullable<ComputedLots['between']>
  pooled?: CheckAnswer
}>
export type LotsAnswer = LotsResult | CheckError

/** Answers one claim held against several lots, each by itself, and pooled where that is asked for. */
export function lots(document: unknown): LotsAnswer {
  const id = idOf(document)
  const request = parseRequest(lotsRequestSchema, document)
  const computed = request.ok ? compareLots(request.value.lots) : request
  const answered =
    computed.ok && !isAllFinite(computed.value) ? failure(problems.requestOutOfRange('lots')) : computed
  if (!answered.ok) return { ...id, ok: false, error: problemWords(answered.problem) }
  const { lots: found, between, pooled } = answered.value
  return {
    ...{ ...id, ok: true, coreVersion: CORE_VERSION },
    lots: found.map(lineInWords),
    ...(between ? { between } : {}),
    ...(pooled ? { pooled: check(pooled) } : {}),
  }
}
