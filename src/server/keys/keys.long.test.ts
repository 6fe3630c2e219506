import { startTestDatabase } from '@tests/database'
import { writeFileSync } from 'node:fs'
import { eq } from 'drizzle-orm'
import { verify } from '@/cli/verify'
import { verifyRecord } from '@/casefile/follows'
import { signatureOf } from '@/casefile/signature'
import { keysIn } from '@/desk/trail/keyRegister'
import { keyEntries } from '@/data/schema'
import type { FindingStatement } from '@/desk/signature'
import { USUAL_OPTIONS } from '@/desk/reportOptions'
import { markdownOf } from '@/report/markdown'
import { reportOf } from '@/report/report'
import { newKey, proofOf, signedBy } from '@tests/keys'
import { codeOf, valueOf } from '@tests/outcome'
import { fingerprintOf } from '../fingerprint'
import { verifyFinding } from '../finding/readFinding'
import { readToSign, signFinding } from '../finding/signFinding'
import { readContent } from '../keeping/readContent'
import { enterKey, readRegister, withdrawKey } from './keys'
import { later, enter, now, signable, filesOf } from '@tests/signing'

const minutes = (count: number) => new Date(later.getTime() + count * 60_000)

const database = startTestDatabase()

beforeEach(async () => {
  await database().delete(keyEntries)
})

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
