import { check } from '@/answers/check'
import { differencesNow } from '@/answers/differences'
import type { CheckResult } from '@/claims/result'
import type { CheckDocument } from '@/claims/terms/request'
import { CORE_VERSION } from '@/claims/terms/version'
import { canonicalJson, spellingsOf } from '@/desk/canonicalJson'
import { caseWordsOf, EMPTY_CASE } from '@/desk/caseWords'
import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { EMPTY_SAMPLE, type SetAside } from '@/desk/sampleDraft'
import { type TrailAction, verifyChain } from '@/desk/trail/chain'
import { valuesIn } from '@/desk/trail/change'
import { replayed } from '@/desk/trail/replay'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { verdictWords } from '@/words/en/trailWords'
import { hashesOf } from './columnHash'
import { type CaseContent, type ContentFinding, type ContentSample, sha256 } from './content'

/** Something that is not what was written: where, and what. */
export type Break = Readonly<{ path: string; message: string }>

/** What of a record does not hold, and what can't be told of it though nothing speaks against it. */
export type RecordVerdict = Readonly<{ breaks: readonly Break[]; notes: readonly string[] }>

/**
 * Whether everything in a case follows from its trail: each signed finding has the one entry that tells of it, and the reverse; a
 * finding's columns are those of the text that was signed; and the case, its claims, its samples, what is set aside and every
 * cell of a file are what the entries make of them.
 *
 * It takes no key to write a whole trail anew, so that everything follows from it: what that can't show is told in docs/TRUST.md.
 */
export async function verifyRecord(content: CaseContent): Promise<RecordVerdict> {
  const verdict = verifyChain(content.trail, sha256, content.head)
  if (!verdict.holds) return { breaks: [{ path: 'trail.ndjson', message: verdictWords(verdict) }], notes: [] }
  const cells = await cellBreaks(content)
  return {
    breaks: [
      ...findingBreaks(content),
      ...caseBreaks(content),
      ...claimBreaks(content),
      ...sampleBreaks(content),
      ...cells.breaks,
    ],
    notes: [...timeNotes(content), ...resultNotes(content), ...asideNotes(content), ...cells.notes],
  }
}

type Trail = CaseContent['trail']
type Entry = Trail[number]

const entriesOf = (
  { trail }: CaseContent,
  key: 'claimId' | 'sampleId',
  id: string,
  actions: readonly TrailAction[],
) => trail.filter((entry) => entry[key] === id && actions.includes(entry.action))

/** What an entry of a signature says: "Finding 2: Contradicted, fingerprint …". */
const SIGNED = /^Finding (\d{1,9}): ([^,]{1,40}), fingerprint ([0-9a-f]{64})$/

function findingBreaks(content: CaseContent): readonly Break[] {
  const entries = content.trail.filter(({ action }) => action === 'signed')
  const told = new Set<Entry>()
  const breaks = content.findings.flatMap((finding) => {
    const path = `findings: ${finding.number} of claim ${finding.claimId}`
    const found = columnBreak(content, finding)
    if (found)
      return [
        {
          path,
          message: `The signed finding ${finding.number} of claim ${finding.claimId} was altered: ${found}`,
        },
      ]
    const own = entries.filter((entry) => tellsOf(entry, finding))
    for (const entry of own) told.add(entry)
    if (own.length === 1) return []
    const message =
      own.length === 0
        ? `The trail has no entry that ${finding.signedBy} signed the finding ${finding.number} of claim ${finding.claimId} with the fingerprint ${finding.fingerprint}.`
        : `The trail has ${own.length} entries of the signature of finding ${finding.number} of claim ${finding.claimId}.`
    return [{ path, message }]
  })
  const missing = entries.filter((entry) => !told.has(entry))
  return [
    ...breaks,
    ...missing.map(({ number, who, detail }) => ({
      path: 'findings',
      message: `Entry ${number} of the trail says that ${who} signed (${detail}), and there is no such finding.`,
    })),
  ]
}

function tellsOf({ claimId, who, at, detail }: Entry, finding: ContentFinding): boolean {
  const [, number, outcome, fingerprint] = SIGNED.exec(detail) ?? []
  return (
    claimId === finding.claimId &&
    Number(number) === finding.number &&
    fingerprint === finding.fingerprint &&
    outcome === OUTCOME_WORDS[finding.outcome] &&
    who === finding.signedBy &&
    at === finding.createdAt
  )
}

type Signed = Readonly<{
  kind?: unknown
  claim?: Readonly<{ id?: unknown; caseId?: unknown; draft?: Readonly<{ remarks?: unknown }> }>
  document?: CheckDocument
  result?: CheckResult
  signedBy?: unknown
  signedOn?: unknown
}>

/** What of a finding is not what its signed text says. */
function columnBreak(content: CaseContent, finding: ContentFinding): string | undefined {
  const { signed: text, fingerprint } = finding
  if (sha256(text) !== fingerprint)
    return `its fingerprint is ${sha256(text)}, and it was signed with ${fingerprint}.`
  const signed = signedIn(text)
  if (!signed?.result || !signed.document) return 'its text is not what is signed.'
  const { claim, document, result, signedBy, signedOn } = signed
  const inputs = spellingsOf({ document, remarks: claim?.draft?.remarks }).map(sha256)
  const stated: readonly (readonly [string, unknown, unknown])[] = [
    ['kind', signed.kind, 'true-weight-signed-finding'],
    ['claim', claim?.id, finding.claimId],
    ['case', claim?.caseId, content.case.id],
    ['signer', signedBy, finding.signedBy],
    ['day', signedOn, finding.signedOn],
    ['outcome', result.finding.outcome, finding.outcome],
    ['core', result.coreVersion, finding.coreVersion],
    ['inputs', inputs.includes(finding.inputFingerprint), true],
  ]
  const other = stated.find(([, one, two]) => one !== two)
  if (other) return `its ${other[0]} is not the one in the text that was signed.`
  if (!content.claims.some(({ id }) => id === finding.claimId)) return 'its claim is not there.'
  if (result.coreVersion === CORE_VERSION && canonicalJson(check(document)) !== canonicalJson(result))
    return 'its result is not what its check document comes to.'
  return undefined
}

function signedIn(text: string): Signed | undefined {
  try {
    const read: unknown = JSON.parse(text)
    return typeof read === 'object' && read !== null ? (read as Signed) : undefined
  } catch {
    return undefined
  }
}

/** Signed findings of another core that come out otherwise with this one. */
function resultNotes({ findings }: CaseContent): readonly string[] {
  return findings.flatMap(({ signed, number, claimId, coreVersion }) => {
    const { document, result } = signedIn(signed) ?? {}
    if (!document || !result || coreVersion === CORE_VERSION) return []
    const differences = differencesNow(result, document)
    return differences.length === 0
      ? []
      : [
          `The signed finding ${number} of claim ${claimId} was made with core ${coreVersion}; with core ${CORE_VERSION} these differ: ${differences.slice(0, 10).join(', ')}.`,
        ]
  })
}

function timeNotes({ trail }: CaseContent): readonly string[] {
  return trail.flatMap(({ number, at }, place) =>
    place > 0 && at < trail[place - 1]!.at
      ? [`Entry ${number} of the trail is dated before the one before it: the clock went back, or was wrong.`]
      : [],
  )
}

/** What a field was at first by an earlier version of True Weight, where no entry has ever changed it. */
const OLDER_DEFAULTS: Readonly<Record<string, readonly unknown[]>> = { source: ['label'] }

/** The fields in which a thing is not what its entries come to. */
function unlike(known: object, state: object, entries: readonly Entry[]): readonly string[] {
  const told = new Set(
    entries.flatMap(({ before, after }) => [before, after].flatMap((one) => Object.keys(valuesIn(one)))),
  )
  return differing(known, state).filter(
    (field) =>
      told.has(field) ||
      !OLDER_DEFAULTS[field]?.includes((known as Readonly<Record<string, unknown>>)[field]),
  )
}

/** The names of the fields in which two things differ. */
function differing(one: object, other: object): readonly string[] {
  const [a, b] = [one, other] as readonly Readonly<Record<string, unknown>>[]
  return [...new Set([...Object.keys(a!), ...Object.keys(b!)])].filter(
    (key) => canonicalJson([a![key] ?? null]) !== canonicalJson([b![key] ?? null]),
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

const SAMPLE_ACTIONS: readonly TrailAction[] = [
  'sample-added',
  'brought-in',
  'sample-changed',
  'discarded',
  'taken-up',
]
const ADDED: readonly TrailAction[] = ['sample-added', 'brought-in']

function sampleBreaks(content: CaseContent): readonly Break[] {
  const known = new Set(content.samples.map(({ id }) => id))
  const gone = content.trail.filter(
    ({ action, sampleId }) => ADDED.includes(action) && sampleId !== null && !known.has(sampleId),
  )
  return [
    ...gone.map(({ number, sampleId }) => ({
      path: 'samples',
      message: `Entry ${number} of the trail added the sample ${sampleId}, and it is not there.`,
    })),
    ...content.samples.flatMap((sample) => sampleBreaksOf(content, sample)),
  ]
}

function sampleBreaksOf(content: CaseContent, { id, draft, file }: ContentSample): readonly Break[] {
  const path = `samples: ${id}`
  const entries = entriesOf(content, 'sampleId', id, SAMPLE_ACTIONS).filter(({ claimId }) => claimId === null)
  const [added] = entries
  if (!added || !ADDED.includes(added.action))
    return [{ path, message: `The trail has no entry that added the sample “${draft.name}”.` }]
  const {
    setAside: _,
    cells: __,
    movedRows: ___,
    ...state
  } = replayed({ ...EMPTY_SAMPLE, setAside: [] }, entries)
  const { setAside, ...own } = draft
  const fields = differing(own, state)
  const aside = asideBreak(draft, asidesToldOf(firstAsides(content.trail, id), content.trail, id))
  const isFile = (added.action === 'brought-in') === (file !== null)
  const isNamed = file === null || added.detail.includes(file.fileSha256)
  return [
    ...(fields.length === 0
      ? []
      : [
          {
            path,
            message: `Of the sample “${draft.name}”, ${fields.join(', ')} is not what the trail comes to.`,
          },
        ]),
    ...(aside ? [{ path, message: `Of the sample “${draft.name}”, ${aside}` }] : []),
    ...(isFile && isNamed
      ? []
      : [
          {
            path,
            message: `The file of the sample “${draft.name}” is not the one that the trail says was brought in.`,
          },
        ]),
  ]
}

const ROW = /^Row (\d+)(?:, which had been set aside)?: ([^]*)$/

type Aside = Readonly<{ row: number; reason: string; who: string }>
const asideOf = ({ row, reason, by }: SetAside): Aside => ({ row: row + 1, reason, who: by.trim() })

/** What is set aside by the entries of a sample: who did it, in which row, and why. */
function asidesToldOf(first: readonly SetAside[], trail: Trail, sampleId: string): readonly Aside[] {
  let asides = first.map(asideOf)
  for (const { sampleId: own, action, detail, who, after } of trail) {
    if (own !== sampleId) continue
    const [, row = '', reason = ''] = ROW.exec(detail) ?? []
    if (action === 'set-aside') asides.push({ row: Number(row), reason, who })
    if (action === 'brought-back') {
      const at = asides.findIndex((one) => one.row === Number(row) && one.reason === reason)
      // One that moved before moves were told of.
      const other = at >= 0 ? at : asides.findIndex((one) => one.reason === reason)
      if (other >= 0) asides.splice(other, 1)
    }
    if (action === 'sample-changed') asides = movedBy(asides, valuesIn(after).movedRows)
  }
  return asides
}

/** Rows of a typed list move where others are put in above them. */
function movedBy(asides: readonly Aside[], moves: unknown): Aside[] {
  const to = new Map(Array.isArray(moves) ? (moves as readonly (readonly [number, number])[]) : [])
  return asides.map((one) => ({ ...one, row: to.get(one.row) ?? one.row }))
}

function asideBreak(draft: ContentSample['draft'], told: readonly Aside[]): string | undefined {
  const isMovable = draft.kind !== 'file'
  const keyOf = ({ row, reason, who }: Aside) => JSON.stringify([isMovable ? 0 : row, reason, who])
  const counts = new Map<string, number>()
  const add = (key: string, by: number) => counts.set(key, (counts.get(key) ?? 0) + by)
  for (const one of told) add(keyOf(one), 1)
  for (const one of draft.setAside) add(keyOf(asideOf(one)), -1)
  const other = [...counts].find(([, count]) => count !== 0)
  if (!other) return undefined
  const [row, reason, who] = JSON.parse(other[0]) as readonly [number, string, string]
  const place = row === 0 ? 'a reading' : `row ${row}`
  const by = who === '' ? 'somebody not named' : who
  return other[1] > 0
    ? `the trail says that ${by} set ${place} aside (“${reason}”), and it is not.`
    : `${place} is set aside by ${by} (“${reason}”), and the trail does not say so.`
}

/** Before moves were told of, a row of a typed list could be another than the one that was set aside first. */
function asideNotes({ samples, trail }: CaseContent): readonly string[] {
  return samples.flatMap(({ id, draft }) => {
    const first = firstAsides(trail, id)
    const told = new Set(asidesToldOf(first, trail, id).map(({ row }) => row))
    const moved = draft.setAside.filter(({ row }) => !told.has(row + 1))
    return moved.map(
      ({ row, reason }) =>
        `In the sample “${draft.name}” row ${row + 1} is set aside (“${reason}”); the trail tells of it under another row, from which it moved.`,
    )
  })
}

function firstAsides(trail: Trail, sampleId: string): readonly SetAside[] {
  const added = trail.find((entry) => entry.sampleId === sampleId && ADDED.includes(entry.action))
  return ((added && valuesIn(added.after).setAside) ?? []) as readonly SetAside[]
}

/** The hash of each column as it was brought in stands in the entry that brought it. */
async function cellBreaks({ samples, trail }: CaseContent): Promise<RecordVerdict> {
  const breaks: Break[] = []
  const notes: string[] = []
  for (const { id, draft, sheet } of samples) {
    if (!sheet) continue
    const entry = trail.find(({ sampleId, action }) => sampleId === id && action === 'brought-in')
    const stated = entry && valuesIn(entry.after).cells
    if (typeof stated !== 'object' || stated === null) {
      notes.push(
        `The cells of the sample “${draft.name}” were brought in before their hashes were kept: nothing ties them to the trail.`,
      )
      continue
    }
    const wrong = differing(stated, hashesOf(await sheet.columns()))
    if (wrong.length > 0)
      breaks.push({
        path: `samples: ${id}`,
        message: `Of the sample “${draft.name}”, the cells of ${wrong.join(', ')} are not those that were brought in.`,
      })
  }
  return { breaks, notes }
}
