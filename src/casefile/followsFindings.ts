import type { Computing } from '@/answers/computing'
import { differencesNow } from '@/answers/differences'
import type { ClaimAnswer, ClaimDocument } from '@/claims/checkAnswer'
import { CORE_VERSION } from '@/claims/terms/version'
import { canonicalJson, spellingsOf } from '@/desk/canonicalJson'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { type CaseContent, type ContentFinding, sha256 } from './content'
import { readFindingStatement } from './signature'
import { signedIn } from './signedText'
import type { Break } from './verdict'

type Entry = CaseContent['trail'][number]

/** What an entry of a signature says: "Finding 2: Contradicted, fingerprint …", the key of one by a key, and who entered it. */
const SIGNED =
  /^Finding (\d{1,9}): ([^,]{1,40}), fingerprint ([0-9a-f]{64})(?:, key ([\w-]{43}))?(?:, entered by ([^]+))?$/

/** Each signed finding has the one entry that tells of it, and the reverse; its columns are those of the text that was signed. */
export async function findingBreaks(content: CaseContent, computing: Computing): Promise<readonly Break[]> {
  const entries = content.trail.filter(({ action }) => action === 'signed')
  const told = new Set<Entry>()
  const breaks: Break[] = []
  for (const finding of content.findings) {
    const { number, claimId, signedBy, fingerprint } = finding
    const path = `findings: ${number} of claim ${claimId}`
    const found = await columnBreak(content, finding, computing)
    if (found) {
      breaks.push({ path, message: `The signed finding ${number} of claim ${claimId} was altered: ${found}` })
      continue
    }
    const own = entries.filter((entry) => tellsOf(entry, finding))
    for (const entry of own) told.add(entry)
    if (own.length === 1) {
      const told = SIGNED.exec(own[0]!.detail)?.[4]
      const wrong = await keyBreak(content, finding, { entry: own[0]!, told })
      if (wrong)
        breaks.push({ path, message: `The signature of the finding ${number} of claim ${claimId} ${wrong}` })
      continue
    }
    const message =
      own.length === 0
        ? `The trail has no entry that ${signedBy} signed the finding ${number} of claim ${claimId} with the fingerprint ${fingerprint}.`
        : `The trail has ${own.length} entries of the signature of finding ${number} of claim ${claimId}.`
    breaks.push({ path, message })
  }
  const missing = entries.filter((entry) => !told.has(entry))
  return [
    ...breaks,
    ...missing.map(({ number, who, detail }) => ({
      path: 'findings',
      message: `Entry ${number} of the trail says that ${who} signed (${detail}), and there is no such finding.`,
    })),
  ]
}

/**
 * What is wrong with a signature by a key: what it is over, and what its entry says of it.
 *
 * @param by.told - the key that the entry names
 */
export async function keyBreak(
  { trail }: CaseContent,
  { jws, fingerprint }: Pick<ContentFinding, 'jws' | 'fingerprint'>,
  { entry, told }: Readonly<{ entry: Entry; told: string | undefined }>,
): Promise<string | undefined> {
  if (jws === '' && told === undefined) return undefined
  const signed = await readFindingStatement(jws)
  if (!signed) return 'is not what the key in it signed.'
  const { finding, trail: head, at } = signed.statement
  if (signed.key !== told) return `is by the key ${signed.key}, and entry ${entry.number} says another.`
  if (finding !== fingerprint) return 'is over something else.'
  const isThere = head.length < entry.number && (trail[head.length - 1]?.hash ?? '') === head.hash
  if (!isThere) return `is over another trail: its entry ${head.length} had the hash ${head.hash}.`
  return at > entry.at ? `is dated after its entry ${entry.number}.` : undefined
}

function tellsOf({ claimId, who, at, detail }: Entry, finding: ContentFinding): boolean {
  const [, number, outcome, fingerprint, , enteredBy] = SIGNED.exec(detail) ?? []
  return (
    claimId === finding.claimId &&
    Number(number) === finding.number &&
    fingerprint === finding.fingerprint &&
    outcome === OUTCOME_WORDS[finding.outcome] &&
    who === finding.signedBy &&
    enteredBy === signedIn(finding.signed)?.enteredBy &&
    at === finding.createdAt
  )
}

/** What of a finding is not what its signed text says. */
async function columnBreak(
  content: CaseContent,
  finding: ContentFinding,
  { check }: Computing,
): Promise<string | undefined> {
  const { signed: text, fingerprint } = finding
  if (sha256(text) !== fingerprint)
    return `its fingerprint is ${sha256(text)}, and it was signed with ${fingerprint}.`
  const signed = signedIn(text)
  if (!signed) return 'its text is not what is signed.'
  const { claim, document, result, signedBy, signedOn, replaces } = signed
  const before = content.findings
    .filter(({ claimId, number }) => claimId === finding.claimId && number < finding.number)
    .toSorted((one, other) => other.number - one.number)
    .at(0)
  const inputs = spellingsOf({ document, remarks: claim.draft.remarks }).map(sha256)
  const stated: readonly (readonly [string, unknown, unknown])[] = [
    ['kind', signed.kind, 'true-weight-signed-finding'],
    ['claim', claim.id, finding.claimId],
    ['case', claim.caseId, content.case.id],
    ['signer', signedBy, finding.signedBy],
    ['day', signedOn, finding.signedOn],
    ['outcome', result.finding.outcome, finding.outcome],
    ['core', result.coreVersion, finding.coreVersion],
    ['inputs', inputs.includes(finding.inputFingerprint), true],
    // Earlier versions did not say which one it replaces.
    ['predecessor', replaces?.number ?? before?.number, before?.number],
    ['predecessor', replaces?.fingerprint ?? before?.fingerprint, before?.fingerprint],
  ]
  const other = stated.find(([, one, two]) => one !== two)
  if (other) return `its ${other[0]} is not the one in the text that was signed.`
  if (!content.claims.some(({ id }) => id === finding.claimId)) return 'its claim is not there.'
  const isOwn = result.coreVersion === CORE_VERSION
  if (isOwn && !spellingsOf(result).includes(canonicalJson(await check(document))))
    return 'its result is not what its check document comes to.'
  return undefined
}

/** Signed findings of another core that come out otherwise with this one. */
export async function resultNotes(
  { findings }: CaseContent,
  computing: Computing,
): Promise<readonly string[]> {
  const notes: string[] = []
  for (const { signed, number, claimId, coreVersion } of findings) {
    const read = coreVersion === CORE_VERSION ? undefined : signedIn(signed)
    if (!read) continue
    const [result, document] = [
      read.result as unknown as ClaimAnswer,
      read.document as unknown as ClaimDocument,
    ]
    const differences = await differencesNow(result, document, computing)
    if (differences.length > 0)
      notes.push(
        `The signed finding ${number} of claim ${claimId} was made with core ${coreVersion}; with core ${CORE_VERSION} these differ: ${differences.slice(0, 10).join(', ')}.`,
      )
  }
  return notes
}
