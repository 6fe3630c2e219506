import { startTestDatabase } from '@tests/database'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { eq } from 'drizzle-orm'
import { verify } from '@/cli/verify'
import { AT_ONCE } from '@/answers/computing'
import { verifyRecord } from '@/casefile/follows'
import { findingBreaks } from '@/casefile/followsFindings'
import { signatureOf } from '@/casefile/signature'
import { keysIn } from '@/desk/trail/keyRegister'
import { findings, keyEntries } from '@/data/schema'
import type { FindingStatement } from '@/desk/signature'
import { USUAL_OPTIONS } from '@/desk/reportOptions'
import { markdownOf } from '@/report/markdown'
import { reportOf } from '@/report/report'
import { newKey, type OwnKey, proofOf, registered, signedBy } from '@tests/keys'
import { codeOf, valueOf } from '@tests/outcome'
import { openCase } from '../case/changeCase'
import { documentOf } from '../check/documentOf'
import { readClaim } from '../claim/readClaim'
import { saveClaim } from '../claim/saveClaim'
import { fingerprintOf, fingerprintOfValue } from '../fingerprint'
import { verifyFinding } from '../finding/readFinding'
import { readToSign, signFinding } from '../finding/signFinding'
import { exportCase } from '../keeping/caseFile'
import { readContent } from '../keeping/readContent'
import { readSampleDraft } from '../sample/readSample'
import { saveSample } from '../sample/saveSample'
import { enterKey, readRegister, withdrawKey } from './keys'

const now = new Date('2026-11-03T10:42:00Z')
const later = new Date('2026-11-03T10:43:00Z')
const minutes = (count: number) => new Date(later.getTime() + count * 60_000)

const database = startTestDatabase()
beforeEach(async () => {
  await database().delete(keyEntries)
})

const enter = (own: OwnKey, at = now, name?: string) =>
  enterKey({ proof: proofOf(own, at.toISOString(), name) }, now)

/** A claim that can be signed, and what whoever signs has before them. */
async function signable(signedBy = 'A. Officer') {
  const { caseId, claimId } = await openCase({ by: 'A. Officer', now })
  const { draft } = (await readClaim(caseId, claimId))!.claim
  const sample = valueOf(await readSampleDraft(draft.sampleId))
  const readings = { ...sample.draft, readings: '14.1 14.2 14.0 14.1' }
  valueOf(await saveSample(draft.sampleId, { draft: readings, revision: 1, by: 'A. Officer' }, now))
  const whole = { ...draft, claimedValue: '15' }
  valueOf(await saveClaim(claimId, { draft: whole, revision: 1, by: 'A. Officer' }, now))
  const document = await documentOf(database(), whole)
  const inputFingerprint = fingerprintOfValue({ document, remarks: whole.remarks })
  return { caseId, claimId, draft: whole, signature: { signedBy, signedOn: '2026-11-03', inputFingerprint } }
}

/** The case as a file, and where a register goes that it is held against. */
async function filesOf(caseId: string) {
  const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-keys-'))
  const pieces = []
  for await (const piece of valueOf(await exportCase(caseId)).bytes) pieces.push(piece)
  const files = { case: path.join(folder, 'case.zip'), register: path.join(folder, 'keys.json') }
  writeFileSync(files.case, Buffer.concat(pieces))
  return files
}

test('a key is entered under the name that it says of itself, once, and withdrawn for good', async () => {
  const [own, other] = [newKey('A. Officer'), newKey('A. Officer')]
  expect(valueOf(await enter(own))).toEqual({ key: own.key })
  expect(codeOf(await enter(own))).toBe('key-known')
  expect(codeOf(await enter(other))).toBe('name-has-key')
  expect(codeOf(await withdrawKey({ key: own.key, by: ' ' }, later))).toBe('name-needed')
  expect(codeOf(await withdrawKey({ key: other.key, by: 'B. Officer' }, later))).toBe('not-found')
  valueOf(await withdrawKey({ key: own.key, by: 'B. Officer' }, later))
  expect(codeOf(await withdrawKey({ key: own.key, by: 'B. Officer' }, later))).toBe('not-found')
  expect(codeOf(await enter(own))).toBe('key-known')
  valueOf(await enter(other))
  const { entries, keys, brokenAt } = await readRegister()
  expect(brokenAt).toBeUndefined()
  // The clock was at `later` when the second key was entered at `now`: no entry is dated before the one before it.
  expect(entries.map(({ at, who, action }) => [at, who, action])).toEqual([
    [now.toISOString(), 'A. Officer', 'entered'],
    [later.toISOString(), 'B. Officer', 'withdrawn'],
    [later.toISOString(), 'A. Officer', 'entered'],
  ])
  expect(keys.map(({ key, until }) => [key, until])).toEqual([
    [own.key, later.toISOString()],
    [other.key, undefined],
  ])
})

test.each([
  ['nothing', {}, 'invalid'],
  ['more than a proof', { proof: '', more: 1 }, 'invalid'],
  ['no proof', { proof: '' }, 'key'],
  ['no name', { proof: proofOf(newKey(''), now.toISOString()) }, 'key'],
  ['a name with blanks around it', { proof: proofOf(newKey(' A. Officer'), now.toISOString()) }, 'key'],
  ['an old proof', { proof: proofOf(newKey('A. Officer'), '2026-11-03T10:20:00.000Z') }, 'key'],
  ['a proof of tomorrow', { proof: proofOf(newKey('A. Officer'), '2026-11-04T10:42:00.000Z') }, 'key'],
] as const)('%s is not entered', async (_, input, code) => {
  expect(codeOf(await enterKey(input, now))).toBe(code)
  expect((await readRegister()).entries).toEqual([])
})

test('a register that was changed behind its back stands for nobody, and takes nothing more', async () => {
  const own = newKey('A. Officer')
  valueOf(await enter(own))
  const db = database()
  await db.update(keyEntries).set({ name: 'C. Officer' }).where(eq(keyEntries.number, 1))
  expect((await readRegister()).brokenAt).toBe(1)
  expect(codeOf(await enter(newKey('D. Officer')))).toBe('register')
  expect(codeOf(await withdrawKey({ key: own.key, by: 'B. Officer' }, later))).toBe('register')
})

test('a finding is signed by a key over its text, its trail and the time, and by nobody else in that name', async () => {
  const own = newKey('A. Officer')
  const stranger = newKey('A. Officer')
  valueOf(await enter(own))
  valueOf(await enter(newKey('B. Officer')))
  const { caseId, claimId, signature } = await signable()
  const { signed, statement } = valueOf(await readToSign(claimId, signature, later))
  expect(statement).toMatchObject({ finding: fingerprintOf(signed), at: later.toISOString() })
  const tried = async (jws: string | undefined, more: object = {}, at = later) =>
    codeOf(await signFinding(claimId, { ...signature, ...more, ...(jws === undefined ? {} : { jws }) }, at))
  const changed = (change: Partial<FindingStatement>) => signedBy(own, { ...statement, ...change })
  expect(await tried(undefined)).toBe('key-needed')
  expect(await tried('')).toBe('key-needed')
  expect(await tried('no signature')).toBe('key')
  expect(await tried(signedBy(stranger, statement))).toBe('key')
  expect(await tried(signedBy(own, statement), { signedBy: 'B. Officer' })).toBe('changed-elsewhere')
  expect(await tried(changed({ finding: 'ab'.repeat(32) }))).toBe('changed-elsewhere')
  expect(await tried(changed({ trail: { length: 2, hash: statement.trail.hash } }))).toBe('changed-elsewhere')
  expect(await tried(changed({ trail: { ...statement.trail, hash: 'ab'.repeat(32) } }))).toBe(
    'changed-elsewhere',
  )
  expect(await tried(signedBy(own, statement), {}, minutes(20))).toBe('changed-elsewhere')
  expect(await tried('x'.repeat(9000))).toBe('invalid')
  expect(await tried(signedBy(own, statement))).toBe('done')
  expect(await verifyFinding(claimId, '1')).toMatchObject({
    isWhole: true,
    signature: { by: 'key', key: own.key, at: later.toISOString(), standing: 'registered' },
  })
  const content = (await readContent(database(), caseId))!
  expect(await verifyRecord(content)).toMatchObject({ breaks: [] })
  expect(content.trail.at(-1)!.detail).toMatch(new RegExp(`, key ${own.key}$`))
  const text = markdownOf(await reportOf(content, USUAL_OPTIONS))
  const files = await filesOf(caseId)
  const { entries } = await readRegister()
  const verified = async (given: object | string) => {
    writeFileSync(files.register, typeof given === 'string' ? given : JSON.stringify(given))
    return verify(files.case, { keys: files.register })
  }
  const register = { kind: 'true-weight-register', entries }
  expect(await verified(register)).toMatchObject({
    holds: true,
    words: expect.stringMatching(
      new RegExp(
        `signed by A\\. Officer on 2026-11-03 \\(on the trail at 2026-11-03 .* UTC\\), with the key ${own.key}, which the register has under this name, at .*, over ${fingerprintOf(signed)}\\.`,
      ),
    ),
  })
  expect(await verified({ ...register, entries: [] })).toMatchObject({
    holds: false,
    words: expect.stringContaining('which is not on the register'),
  })
  expect(await verified({ ...register, entries: entries.slice(1) })).toEqual({
    holds: false,
    words: expect.stringContaining('Entry 1 of the register'),
  })
  expect(await verified('{}')).toEqual({
    holds: false,
    words: expect.stringContaining('is no register of keys'),
  })
  // The signature taken out of a file, and of its trail: the name had a key by then.
  const stripped = { ...entries[0]!, at: '2026-11-03T10:00:00.000Z' }
  expect(
    await signatureOf({ jws: '', signedBy: 'A. Officer', createdAt: later }, keysIn([stripped])),
  ).toEqual({
    by: 'name',
    hadKey: true,
  })
  expect(await verify(files.case)).toMatchObject({
    holds: true,
    words: expect.stringContaining('name the register of the office with --keys FILE'),
  })
  expect(text).toContain(
    `by A. Officer on 2026-11-03 (on the trail at 2026-11-03 10:43:00 UTC), with the key ${own.key.replaceAll('_', '\\_')}`,
  )
})

test('a key signs under its own name only, and no more once it is withdrawn', async () => {
  const own = newKey('A. Officer')
  valueOf(await enter(own))
  const { caseId, claimId, signature } = await signable('C. Officer')
  const { statement } = valueOf(await readToSign(claimId, signature, later))
  expect(codeOf(await signFinding(claimId, { ...signature, jws: signedBy(own, statement) }, later))).toBe(
    'key',
  )
  // By name it can be signed, since that name has no key.
  valueOf(await signFinding(claimId, signature, later))
  expect(await verifyFinding(claimId, '1')).toMatchObject({ signature: { by: 'name', hadKey: false } })
  // A register that had a key of that name by then does not take it for theirs.
  const content = (await readContent(database(), caseId))!
  const named = newKey('C. Officer')
  const at = '2026-11-03T10:00:00.000Z'
  const entry = {
    at,
    action: 'entered',
    name: named.name,
    key: named.key,
    proof: proofOf(named, at),
  } as const
  const files = await filesOf(caseId)
  writeFileSync(
    files.register,
    JSON.stringify({ kind: 'true-weight-register', entries: registered([], entry) }),
  )
  expect(await verify(files.case, { keys: files.register })).toMatchObject({
    holds: false,
    words: expect.stringContaining('though the register had a key of that name by then'),
  })
  // A signature over a trail that has its own entry was made after it.
  const [signed] = content.findings
  const { length: number, hash } = content.head
  const late = {
    kind: 'true-weight-signature',
    finding: signed!.fingerprint,
    trail: { length: number, hash },
    at,
  } as const
  const entries = content.trail.map((one) =>
    one.action === 'signed' ? { ...one, detail: `${one.detail}, key ${own.key}` } : one,
  )
  const forged = { ...content, trail: entries, findings: [{ ...signed!, jws: signedBy(own, late) }] }
  expect((await findingBreaks(forged, AT_ONCE)).map(({ message }) => message)).toEqual([
    expect.stringContaining(`is over another trail: its entry ${number}`),
  ])
  const { claimId: second, signature: owns } = await signable()
  const asked = valueOf(await readToSign(second, owns, later))
  valueOf(await withdrawKey({ key: own.key, by: 'B. Officer' }, now))
  const jws = signedBy(own, asked.statement)
  expect(codeOf(await signFinding(second, { ...owns, jws }, later))).toBe('key')
  // A name whose key was withdrawn signs without one again.
  expect(codeOf(await signFinding(second, owns, later))).toBe('done')
})

test('what was changed between the asking and the signing is not signed', async () => {
  const own = newKey('A. Officer')
  valueOf(await enter(own))
  const { claimId, draft, signature } = await signable()
  const { statement } = valueOf(await readToSign(claimId, signature, later))
  const other = { ...draft, source: 'another label' }
  valueOf(await saveClaim(claimId, { draft: other, revision: 2, by: '' }, later))
  const jws = signedBy(own, statement)
  expect(codeOf(await signFinding(claimId, { ...signature, jws }, later))).toBe('changed-elsewhere')
})

test.each([
  ['is left out', (): string => ''],
  [
    'is of another key',
    (own: OwnKey, statement: FindingStatement) => signedBy({ ...newKey(own.name) }, statement),
  ],
  [
    'is over something else',
    (own: OwnKey, one: FindingStatement) => signedBy(own, { ...one, finding: 'ab'.repeat(32) }),
  ],
  [
    'is over another trail',
    (own: OwnKey, one: FindingStatement) =>
      signedBy(own, { ...one, trail: { length: 1, hash: 'ab'.repeat(32) } }),
  ],
  [
    'is over a trail to come',
    (own: OwnKey, one: FindingStatement) => signedBy(own, { ...one, trail: { ...one.trail, length: 99 } }),
  ],
  [
    'is dated later',
    (own: OwnKey, one: FindingStatement) => signedBy(own, { ...one, at: '2026-12-01T00:00:00.000Z' }),
  ],
  ['was altered', (own: OwnKey, one: FindingStatement) => `${signedBy(own, one).slice(0, -4)}AAAA`],
] as const)('a signature that %s is told of by the record', async (_, change) => {
  const own = newKey('A. Officer')
  valueOf(await enter(own))
  const { caseId, claimId, signature } = await signable()
  const { statement } = valueOf(await readToSign(claimId, signature, later))
  valueOf(await signFinding(claimId, { ...signature, jws: signedBy(own, statement) }, later))
  const db = database()
  await db
    .update(findings)
    .set({ jws: change(own, statement) })
    .where(eq(findings.claimId, claimId))
  const { breaks } = await verifyRecord((await readContent(db, caseId))!)
  expect(breaks).toHaveLength(1)
  expect(breaks[0]!.message).toMatch(/^The signature of the finding 1 of claim /)
})
