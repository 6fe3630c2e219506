import type { Certificate } from 'pkijs'
import { readWhole } from './openInput'
import { parseJson } from '@/desk/parseJson'
import { type CaseContent, sha256, trailEntrySchema } from '@/casefile/content'
import { readCaseFile } from '@/casefile/read'
import { sealsOf } from '@/casefile/followsSeals'
import { isFrom, readCertificates } from '@/casefile/stamp'
import { keysOf, signatureOf } from '@/casefile/signature'
import { signedIn } from '@/casefile/signedText'
import type { Signature } from '@/desk/signature'
import { type RegisteredKey, registerSchema } from '@/desk/trail/keyRegister'
import { sealWords } from '@/words/en/sealWords'
import { signedOnWords, signedWith } from '@/words/en/signatureWords'
import { type ChainedEntry, verifyChain } from '@/desk/trail/chain'
import { anewWords, instantWords, verdictWords } from '@/words/en/trailWords'

const NO_AUTHORITY =
  'Whether the authority of a seal is one that you trust is not looked at: name its certificate, or the one that it was issued under, with --authority FILE.'
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
 * @param trusted.keys - the file of the register of keys that signatures are held against
 * @param trusted.authority - the file of certificates (PEM) that the authorities of seals are held against
 */
export async function verify(
  file: string,
  { keys: keysFile, authority }: Readonly<{ keys?: string | undefined; authority?: string | undefined }> = {},
): Promise<Verdict> {
  const bytes = Buffer.from(await readWhole(file))
  const register = keysFile === undefined ? undefined : await readRegister(keysFile)
  if (typeof register === 'string') return { holds: false, words: register }
  const authorities = authority === undefined ? undefined : await readAuthorities(authority)
  if (typeof authorities === 'string') return { holds: false, words: authorities }
  if (bytes.subarray(0, 2).toString('latin1') === ZIP_BEGINS)
    return ofCaseFile(bytes, { register, authorities })
  const read = entriesOf(bytes.toString('utf8'))
  if (typeof read === 'string') return { holds: false, words: read }
  return ofTrail(read)
}

/** What signatures and seals are held against; undefined where nothing was named. */
type Trusted = Readonly<{
  register: readonly RegisteredKey[] | undefined
  authorities: readonly Certificate[] | undefined
}>

async function ofCaseFile(bytes: Uint8Array, { register, authorities }: Trusted): Promise<Verdict> {
  const read = await readCaseFile(bytes)
  if (!read.ok) return { holds: false, words: read.problem.message }
  const { content, coreVersion, differences, notes } = read.value
  const { trail, findings, claims } = content
  const { words } = ofTrail(trail)
  const parts = `${counted(claims.length, 'claim')}, ${counted(findings.length, 'signed finding')}`
  const anew = anewWords({ coreVersion, differences })
  const signatures = await signaturesIn(content, register)
  const seals = await sealsIn(content, authorities)
  return {
    holds: signatures.hold && seals.hold,
    words: [
      words,
      `Every file has the hash that its manifest states, and everything in it follows from the trail (${parts}).`,
      ...(anew ? [anew] : []),
      ...notes,
      ...signatures.lines,
      ...seals.lines,
    ].join('\n'),
  }
}

const counted = (count: number, what: string) => `${count} ${what}${count === 1 ? '' : 's'}`

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
    const { number, claimId, signedBy, fingerprint } = finding
    const claim = claims.findIndex(({ id }) => id === claimId) + 1
    const at = signature.by === 'key' ? `, at ${instantWords(signature.at)}` : ''
    const on = signedOnWords({ ...finding, enteredBy: signedIn(finding.signed)?.enteredBy })
    const how = signedWith(signature, register !== undefined)
    lines.push(
      `Finding ${number} of claim ${claim}: signed by ${signedBy} ${on}, ${how}${at}, over ${fingerprint}.`,
    )
  }
  const byKey = read.filter((signature) => signature.by === 'key')
  if (byKey.length < read.length) lines.push(WITHOUT_KEYS)
  if (byKey.length > 0 && !register) lines.push(NO_REGISTER)
  const isSound = (signature: Signature) =>
    signature.by === 'key' ? signature.standing === 'registered' : !signature.hadKey
  return { hold: !register || read.every(isSound), lines }
}

/** What each seal shows, and who says so. One of another authority than those that are named does not hold. */
async function sealsIn(
  content: CaseContent,
  authorities: readonly Certificate[] | undefined,
): Promise<Readonly<{ hold: boolean; lines: readonly string[] }>> {
  const lines: string[] = []
  let hold = true
  const seals = await sealsOf(content)
  for (const { seal, token } of seals) {
    const isNamed = authorities && (await isFrom(token, authorities))
    if (isNamed === false) hold = false
    const whose =
      isNamed === undefined
        ? ''
        : isNamed
          ? ' It is of the authority that was named.'
          : ' It is of another authority than the one that was named.'
    lines.push(`${sealWords(seal)} SHA-256 of its certificate: ${seal.certificate}.${whose}`)
  }
  if (seals.length > 0 && !authorities) lines.push(NO_AUTHORITY)
  return { hold, lines }
}

/** The certificates of authorities, or why there are none to be had. */
async function readAuthorities(file: string): Promise<readonly Certificate[] | string> {
  const read = readCertificates(Buffer.from(await readWhole(file)).toString('latin1'))
  return read.length > 0
    ? read
    : `${file} holds no certificate that can be read. Name one in PEM form, as the authority hands it out.`
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
