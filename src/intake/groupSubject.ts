import { type ClaimDraft, isControlled } from '@/desk/claimDraft'
import type { GroupSubject } from '@/words/en/groupLines'
import { readCodes } from '@/desk/codes'
import { FieldReader } from './reading/fieldReader'
import { readNumber } from './reading/number'
import { readDraft } from './readDraft'

/** A reading of nothing: only the claim's own words are asked for. */
const NOTHING = { values: [], rows: [], setAside: [], unread: [], problems: [], missing: [] } as const

/** Nothing is tested while no level is stated. */
const USUAL_LEVEL = 0.05

/** How the lines of a claim's groups and lots are written. */
export function subjectOfGroups(draft: ClaimDraft, codes = ''): GroupSubject {
  const { parameter, unit, exposureUnit } = draft
  const fields = new FieldReader<keyof ClaimDraft>(draft, draft.decimalMark)
  return {
    ...{ parameter, unit, exposureUnit, isControl: isControlled(draft) },
    decimals: readDraft(draft, NOTHING).decimals,
    level: fields.level('significanceLevel', 'significance level') ?? USUAL_LEVEL,
    meanings: Object.fromEntries(readCodes(codes).map(({ code, meaning }) => [code, meaning])),
  }
}

/** The values that the claim lies at: one, or both limits of a tolerance; none while it has none. */
export function claimedIn(draft: ClaimDraft): readonly number[] {
  if (isControlled(draft)) {
    const label = readNumber(draft.claimedValue, draft.decimalMark)
    return label.ok ? [label.value] : []
  }
  const { claim } = readDraft(draft, NOTHING)
  if (!claim) return []
  const { value, tolerance } = claim
  return tolerance ? [value - tolerance.below, value + tolerance.above] : [value]
}
