import { AT_ONCE, type Computing } from '@/answers/computing'
import { caseWordsOf, EMPTY_CASE } from '@/desk/caseWords'
import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { type TrailAction, verifyChain } from '@/desk/trail/chain'
import { replayed } from '@/desk/trail/replay'
import { verdictWords } from '@/words/en/trailWords'
import { type CaseContent, sha256 } from './content'
import { findingBreaks, resultNotes } from './followsFindings'
import { planBreaks } from './followsPlans'
import { sealBreaks } from './followsSeals'
import { asideNotes, cellBreaks, sampleBreaks } from './followsSamples'
import { differing, entriesOf, unlike } from './unlike'
import type { Break, RecordVerdict } from './verdict'

/**
 * Whether everything in a case follows from its trail: each signed finding has the one entry that tells of it, and the reverse; a
 * finding's columns are those of the text that was signed; and the case, its claims, its samples, what is set aside and every
 * cell of a file are what the entries make of them.
 *
 * It takes no key to write a whole trail anew, so that everything follows from it: what that can't show is told in docs/TRUST.md.
 */
export async function verifyRecord(
  content: CaseContent,
  computing: Computing = AT_ONCE,
): Promise<RecordVerdict> {
  const verdict = verifyChain(content.trail, sha256, content.head)
  if (!verdict.holds) return { breaks: [{ path: 'trail.ndjson', message: verdictWords(verdict) }], notes: [] }
  const cells = await cellBreaks(content)
  const seals = await sealBreaks(content)
  return {
    breaks: [
      ...(await findingBreaks(content, computing)),
      ...(await planBreaks(content)),
      ...caseBreaks(content),
      ...claimBreaks(content),
      ...sampleBreaks(content),
      ...cells.breaks,
      ...seals.breaks,
    ],
    notes: [
      ...timeNotes(content),
      ...(await resultNotes(content, computing)),
      ...asideNotes(content),
      ...cells.notes,
      ...seals.notes,
    ],
  }
}

function timeNotes({ trail }: CaseContent): readonly string[] {
  return trail.flatMap(({ number, at }, place) =>
    place > 0 && at < trail[place - 1]!.at
      ? [`Entry ${number} of the trail is dated before the one before it: the clock went back, or was wrong.`]
      : [],
  )
}

const CASE_ACTIONS: readonly TrailAction[] = ['opened', 'changed', 'closed', 'reopened', 'archived']

function caseBreaks({ case: known, trail }: CaseContent): readonly Break[] {
  const path = 'case.json'
  const entries = trail.filter(({ action }) => CASE_ACTIONS.includes(action))
  if (entries[0]?.action !== 'opened' || trail[0] !== entries[0])
    return [{ path, message: 'The trail does not begin with the opening of the case.' }]
  const state = replayed({ ...EMPTY_CASE, state: 'open' }, entries)
  const fields = differing({ ...caseWordsOf(known), state: known.state }, state)
  return fields.length === 0
    ? []
    : [{ path, message: `Of the case, ${fields.join(', ')} is not what the trail comes to.` }]
}

const CLAIM_ACTIONS: readonly TrailAction[] = ['claim-added', 'claim-changed', 'discarded', 'taken-up']

function claimBreaks(content: CaseContent): readonly Break[] {
  const known = new Set(content.claims.map(({ id }) => id))
  const gone = content.trail.filter(
    ({ action, claimId }) => action === 'claim-added' && claimId !== null && !known.has(claimId),
  )
  return [
    ...gone.map(({ number, claimId }) => ({
      path: 'claims',
      message: `Entry ${number} of the trail added the claim ${claimId}, and it is not there.`,
    })),
    ...content.claims.flatMap(({ id, draft }) => {
      const path = `claims: ${id}`
      const entries = entriesOf(content, 'claimId', id, CLAIM_ACTIONS)
      const [added] = entries
      if (added?.action !== 'claim-added')
        return [{ path, message: `The trail has no entry that added the claim ${id}.` }]
      const state = replayed({ ...EMPTY_CLAIM, sampleId: added.sampleId }, entries)
      const fields = unlike(draft, state, entries)
      return fields.length === 0
        ? []
        : [{ path, message: `Of the claim ${id}, ${fields.join(', ')} is not what the trail comes to.` }]
    }),
  ]
}
