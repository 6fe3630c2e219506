import { readWhole } from './openInput'
import { parseJson } from '@/desk/parseJson'
import { type CaseContent, sha256, trailEntrySchema } from '@/casefile/content'
import { readCaseFile } from '@/casefile/read'
import { keysOf, signatureOf } from '@/casefile/signature'
import type { Signature } from '@/desk/signature'
import { type RegisteredKey, registerSchema } from '@/desk/trail/keyRegister'
import { signedWith } from '@/words/en/signatureWords'
import { type ChainedEntry, verifyChain } from '@/desk/trail/chain'
import { anewWords, instantWords, verdictWords } from '@/words/en/trailWords'

const ZIP_BEGINS = 'PK'

/** What nobody can tell from a file alone. */
const WITHOUT_KEYS =
  'What is signed by name, without a key, could have been written anew by whoever holds the file, trail and hashes included. Compare the last hash with one that was written down elsewhere.'
const NO_REGISTER = 'Whose the keys are is not looked at: name the register of the office with --keys FILE.'

/** What is to be said of a file, and whether it is as it was written. */
export type Verdict = Readonly<{ holds: boolean; words: string }>

/**
 * Whether a case file, or a trail by itself (an entry a line), is as it was written: the hashes, the chain of the trail, and of
 * a case file also that its results follow from its claims and samples, and who signed its findings.
 *
 * @param keysFile - the register of keys that signatures are held against
 */
export async function verify(file: string, keysFile?: string): Promise<Verdict> {
  const bytes = Buffer.from(await readWhole(file))
  const register = keysFile === undefined ? undefined : await readRegister(keysFile)
  if (typeof register === 'string') return { holds: false, words: register }
  if (bytes.subarray(0, 2).toString('latin1') === ZIP_BEGINS) return ofCaseFile(bytes, register)
  const read = entriesOf(bytes.toString('utf8'))
  if (typeof read === 'string') return { holds: false, words: read }
  return ofTrail(read)
}

async function ofCaseFile(
  bytes: Uint8Array,
  register: readonly RegisteredKey[] | undefined,
): Promise<Verdict> {
  const read = await readCaseFile(bytes)
  if (!read.ok) return { holds: false, words: read.problem.message }
  const { content, coreVersion, differences, notes } = read.value
  const { trail, findings, claims } = content
  const { words } = ofTrail(trail)
  const parts = `${claims.length} claims, ${findings.length} signed findings`
  const anew = anewWords({ coreVersion, differences })
  const signatures = await signaturesIn(content, register)
  return {
    holds: signatures.hold,
    words: [
      words,
      `Every file has the hash that its manifest states, and everything in it follows from the trail (${parts}).`,
      ...(anew ? [anew] : []),
      ...notes,
      ...signatures.lines,
    ].join('\n'),
  }
}

/** Who signed each finding, with which key, and over what. A key that the register does not have under the name does not hold. */
async function signaturesIn(
  { findings, claims }: CaseContent,
  register: readonly RegisteredKey[] | undefined,
): Promise<Readonly<{ hold: boolean; lines: readonly string[] }>> {
  const lines: string[] = []
  const read = []
  for (const finding of findings) {
    const signature = await signatureOf(finding, register ?? [])
    read.push(signature)
    const { number, claimId, signedBy, signedOn, fingerprint } = finding
    const claim = claims.findIndex(({ id }) => id === claimId) + 1
    const at = signature.by === 'key' ? `, at ${instantWords(signature.at)}` : ''
    const how = signedWith(signature, register !== undefined)
    lines.push(
      `Finding ${number} of claim ${claim}: signed by ${signedBy} on ${signedOn}, ${how}${at}, over ${fingerprint}.`,
    )
  }
  const byKey = read.filter((signature) => signature.by === 'key')
  if (byKey.length < read.length) lines.push(WITHOUT_KEYS)
  if (byKey.length > 0 && !register) lines.push(NO_REGISTER)
  const isSound = (signature: Signature) =>
    signature.by === 'key' ? signature.standing === 'registered' : !signature.hadKey
  return { hold: !register || read.every(isSound), lines }
}

/** The keys of a register, or why there are none to be had. */
async function readRegister(file: string): Promise<readonly RegisteredKey[] | string> {
  const read = registerSchema.safeParse(jsonOf(Buffer.from(await readWhole(file)).toString('utf8')))
  if (!read.success)
    return `${file} is no register of keys. Save it on the page of keys, or take the one that the office handed out.`
  const keys = await keysOf(read.data.entries)
  return keys.ok ? keys.keys : `Entry ${keys.number} of the register ${file} is not what was written.`
}

function ofTrail(entries: readonly ChainedEntry[]): Verdict {
  const verdict = verifyChain(entries, sha256)
  return { holds: verdict.holds, words: verdictWords(verdict) }
}

/** The entries, or why they can't be read. */
function entriesOf(text: string): readonly ChainedEntry[] | string {
  const entries: ChainedEntry[] = []
  for (const [at, line] of text.split('\n').entries()) {
    if (line.trim() === '') continue
    const read = trailEntrySchema.safeParse(jsonOf(line))
    if (!read.success)
      return `Line ${at + 1} is no entry of a trail. Name a case file (ZIP), or a trail with an entry a line.`
    entries.push(read.data)
  }
  return entries
}

function jsonOf(line: string): unknown {
  try {
    return parseJson(line)
  } catch {
    return undefined
  }
}
