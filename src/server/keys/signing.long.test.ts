import { startTestDatabase } from '@tests/database'
import { writeFileSync } from 'node:fs'
import { eq } from 'drizzle-orm'
import { verify } from '@/cli/verify'
import { AT_ONCE } from '@/answers/computing'
import { verifyRecord } from '@/casefile/follows'
import { findingBreaks } from '@/casefile/followsFindings'
import { findings, keyEntries } from '@/data/schema'
import type { FindingStatement } from '@/desk/signature'
import { newKey, type OwnKey, proofOf, registered, signedBy } from '@tests/keys'
import { codeOf, valueOf } from '@tests/outcome'
import { saveClaim } from '../claim/saveClaim'
import { verifyFinding } from '../finding/readFinding'
import { readToSign, signFinding } from '../finding/signFinding'
import { readContent } from '../keeping/readContent'
import { withdrawKey } from './keys'
import { enter, signable, later, filesOf, now } from '@tests/signing'

const database = startTestDatabase()

beforeEach(async () => {
  await database().delete(keyEntries)
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
