import type { CaseContent } from '@/casefile/content'
import { canonicalJson } from '@/desk/canonicalJson'
import { chained } from '@/desk/trail/chain'
import type { PlanEntry } from '@/desk/lockedPlan'
import { EMPTY_PLAN, EMPTY_PLAN_CLAIM, type PlanClaim, type PlanDraft } from '@/desk/planDraft'
import { planDetail } from '@/words/en/lockedPlanWords'
import { valueOf } from '@tests/outcome'
import { fingerprintOf } from '@/server/fingerprint'
import { database } from '@/server/keeping/database'
import { readContent } from '@/server/keeping/readContent'
import { lockPlan, openCaseFor } from '@/server/planner/lockPlan'

export const now = new Date('2026-11-03T10:42:00Z')
export const later = new Date('2026-11-03T10:43:00Z')
export const doer = { by: 'A. Officer', now }
export const facts = { lockedBy: 'A. Officer', lockedOn: '2026-11-03' }
export const MASS: PlanClaim = {
  ...EMPTY_PLAN_CLAIM,
  ...{ quantity: 'net mass', claimedValue: '15', unit: 'kg', gap: '0.1', scatter: '0.18' },
}

export const SPREAD: PlanClaim = {
  ...EMPTY_PLAN_CLAIM,
  ...{ parameter: 'standard-deviation', relation: 'at-most', claimedValue: '0.3', unit: 'kg', gap: '0.1' },
}

export const DRAFT: PlanDraft = {
  ...EMPTY_PLAN,
  ...{ claims: [MASS, SPREAD], units: '30', layers: 'north = 400; south = 560', seed: '7' },
}

export const newCase = async () => valueOf(await openCaseFor('Sacks of line 2', doer)).caseId
export const contentOf = async (caseId: string) => (await readContent(await database(), caseId))!

export async function locked(draft: PlanDraft = DRAFT) {
  const caseId = await newCase()
  const { claimId } = valueOf(await lockPlan(caseId, { draft, ...facts }, later))
  return { caseId, claimId }
}

/** A case whose plan says something else, with the chain made anew behind it. */
export function forged(
  content: CaseContent,
  change: (held: PlanEntry) => Partial<PlanEntry>,
  facts: object = {},
): CaseContent {
  const trail: CaseContent['trail'][number][] = []
  let isFirst = true
  for (const { number: _, previous: __, hash: ___, ...entry } of content.trail) {
    let own = entry
    if (entry.action === 'planned' && isFirst) {
      isFirst = false
      const held = JSON.parse(entry.after) as PlanEntry
      const changed = { ...held, ...change(held) }
      const fingerprint = fingerprintOf(canonicalJson(changed.plan))
      const place = Math.min(changed.place, changed.plan.claims.length)
      const detail = planDetail(changed.plan, place, { fingerprint, key: undefined })
      own = { ...entry, detail, after: canonicalJson(changed), ...facts }
    }
    const head = { length: trail.length, hash: trail.at(-1)?.hash ?? '' }
    trail.push(chained(own, head, fingerprintOf))
  }
  return { ...content, trail, head: { length: trail.length, hash: trail.at(-1)!.hash } }
}
