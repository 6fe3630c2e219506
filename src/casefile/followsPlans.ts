import { differing } from '@/answers/differing'
import { planForGap } from '@/claims/plan/gap'
import { CORE_VERSION } from '@/claims/terms/version'
import { canonicalJson } from '@/desk/canonicalJson'
import { type LockedPlan, planIn } from '@/desk/lockedPlan'
import { planDetail } from '@/words/en/lockedPlanWords'
import { type CaseContent, sha256 } from './content'
import { keyBreak } from './followsFindings'
import type { Break } from './verdict'

type Entry = CaseContent['trail'][number]

/** Every locked plan is what was signed, by whom its entry says, for a claim that is there; and finds what it says that it finds. */
export async function planBreaks(content: CaseContent): Promise<readonly Break[]> {
  const breaks: Break[] = []
  for (const entry of content.trail.filter(({ action }) => action === 'planned')) {
    const wrong = await planBreak(content, entry)
    if (wrong)
      breaks.push({
        path: 'trail.ndjson',
        message: `The plan in entry ${entry.number} of the trail ${wrong}`,
      })
  }
  return breaks
}

const FINGERPRINT = /, fingerprint ([0-9a-f]{64})(?:, key ([\w-]{43}))?$/

async function planBreak(content: CaseContent, entry: Entry): Promise<string | undefined> {
  const held = planIn(entry.after)
  if (!held) return 'is not what is locked.'
  const { plan, place, jws } = held
  const fingerprint = sha256(canonicalJson(plan))
  const [, told, key] = FINGERPRINT.exec(entry.detail) ?? []
  const isOwn = plan.coreVersion === CORE_VERSION
  // Another version may have said the same in other words.
  const isTold = isOwn ? entry.detail === planDetail(plan, place, { fingerprint, key }) : told === fingerprint
  if (entry.before !== '' || !isTold) return 'is not the one that the entry tells of.'
  if (plan.caseId !== content.case.id) return 'is of another case.'
  if (plan.lockedBy !== entry.who) return `was locked by ${plan.lockedBy}, and the entry says ${entry.who}.`
  if (!content.claims.some(({ id }) => id === entry.claimId)) return 'is of a claim that is not there.'
  const earlier = content.trail.find(
    ({ action, claimId }) => action === 'planned' && claimId === entry.claimId,
  )
  if (earlier !== entry) return `is another one of a claim that entry ${earlier!.number} has a plan of.`
  const wrong = await keyBreak(content, { jws, fingerprint }, { entry, told: key })
  if (wrong) return `has a signature that ${wrong}`
  return isOwn && !isFound(plan) ? 'does not find what it says.' : undefined
}

/** Whether its units find each gap as surely as it says. */
const isFound = ({ claims, units }: LockedPlan): boolean =>
  claims.every(({ claim, test, assume, gap, power }) => {
    const figures = planForGap({ claim, test, assume }, gap, units)
    return figures?.ok === true && differing(figures.value.power, power).length === 0
  })
