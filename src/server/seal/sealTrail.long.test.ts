import { openTestDatabase } from '@tests/database'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { eq } from 'drizzle-orm'
import { type CaseContent, sha256 } from '@/casefile/content'
import { verifyRecord } from '@/casefile/follows'
import { entryOf } from '@/casefile/followsSeals'
import { SIMULATED_CERTIFICATE } from '@/casefile/simulatedAuthority'
import { readStamp } from '@/casefile/stamp'
import { verify } from '@/cli/verify'
import type { Database } from '@/data/client'
import { seals } from '@/data/schema'
import { USUAL_OPTIONS } from '@/desk/reportOptions'
import { chained } from '@/desk/trail/chain'
import { markdownOf } from '@/report/markdown'
import { reportOf } from '@/report/report'
import { valueOf } from '@tests/outcome'
import { addEmptyClaim, openCase } from '../case/changeCase'
import { exportCase, importCase } from '../keeping/caseFile'
import { readContent } from '../keeping/readContent'
import { stampFrom } from './authority'
import { readSeals, sealTrail } from './sealTrail'

const by = 'A. Officer'
const doer = () => ({ by, now: new Date() })
const kept = globalThis as typeof globalThis & { trueWeightDatabase?: Promise<Database> }

beforeAll(async () => {
  kept.trueWeightDatabase = openTestDatabase()
  await kept.trueWeightDatabase
})
afterAll(async () => (await kept.trueWeightDatabase)?.close())
afterEach(() => {
  delete process.env.TRUE_WEIGHT_TIME_STAMP_URL
})

const contentOf = async (caseId: string) => (await readContent(await kept.trueWeightDatabase!, caseId))!

async function fileOf(caseId: string): Promise<Buffer> {
  const pieces = []
  for await (const piece of valueOf(await exportCase(caseId)).bytes) pieces.push(piece)
  return Buffer.concat(pieces)
}

/** A case whose trail was sealed. */
async function sealed(): Promise<string> {
  const { caseId } = await openCase(doer(), { subject: 'Sacks' })
  valueOf(await sealTrail(caseId, doer()))
  return caseId
}

test('a trail is sealed as it stands, once, and again when something came', async () => {
  const caseId = await sealed()
  const { trail, seals: tokens } = await contentOf(caseId)
  const told = trail.at(-1)!
  const last = trail.at(-2)!
  expect(await readSeals(caseId)).toMatchObject([{ length: last.number, hash: last.hash, isSimulated: true }])
  expect(told).toMatchObject({ action: 'sealed', who: by })
  expect(told.detail).toMatch(
    new RegExp(
      `^Entries 1 to ${last.number} of the trail, which end with the hash ${last.hash}: stamped at .* UTC by Simulated .*; SHA-256 of the time stamp [0-9a-f]{64}$`,
    ),
  )
  expect(await sealTrail(caseId, doer())).toMatchObject({ ok: false, problem: { code: 'sealed-already' } })
  valueOf(await addEmptyClaim(caseId, doer()))
  valueOf(await sealTrail(caseId, doer()))
  expect((await readSeals(caseId)).map(({ length }) => length)).toEqual([last.number, told.number + 1])
  expect((await contentOf(caseId)).seals[0]).toEqual(tokens[0])
  expect(await sealTrail('0190163d-8694-739b-aea5-000000000001', doer())).toMatchObject({
    problem: { code: 'not-found' },
  })
  expect(await verifyRecord(await contentOf(caseId))).toEqual({ breaks: [], notes: [] })
})

test('where the authority can’t be reached nothing is changed, and it is said', async () => {
  const { caseId } = await openCase(doer(), { subject: 'Sacks' })
  process.env.TRUE_WEIGHT_TIME_STAMP_URL = 'http://127.0.0.1:9/'
  expect(await sealTrail(caseId, doer())).toMatchObject({
    problem: {
      code: 'authority',
      message:
        'The trail was not sealed. The authority for time stamps was asked, and it can’t be reached. Nothing was changed.',
    },
  })
  expect((await contentOf(caseId)).trail.some(({ action }) => action === 'sealed')).toBe(false)
})

test('a seal goes with its case file, and the command line and the report tell of it', async () => {
  const caseId = await sealed()
  const bytes = await fileOf(caseId)
  const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-seal-'))
  const [file, own, no] = ['case.zip', 'own.pem', 'no.pem'].map((name) => path.join(folder, name))
  writeFileSync(file!, bytes)
  writeFileSync(own!, SIMULATED_CERTIFICATE)
  writeFileSync(no!, 'nothing')
  const [seal] = await readSeals(caseId)
  const said = `Entries 1 to ${seal!.length} of the trail were there at ${seal!.at.slice(0, 19).replace('T', ' ')} UTC: a time stamp (RFC 3161) of “Simulated time stamp authority of True Weight” says so. That authority is simulated`
  const plain = await verify(file!)
  expect(plain.holds).toBe(true)
  expect(plain.words).toContain(said)
  expect(plain.words).toContain('with --authority FILE')
  const held = await verify(file!, { authority: own })
  expect(held).toMatchObject({
    holds: true,
    words: expect.stringContaining('of the authority that was named'),
  })
  expect(held.words).not.toContain('with --authority FILE')
  expect(await verify(file!, { authority: no })).toMatchObject({
    holds: false,
    words: expect.stringContaining('holds no certificate'),
  })
  expect(markdownOf(await reportOf(await contentOf(caseId), USUAL_OPTIONS))).toContain(said)
  const here = kept.trueWeightDatabase
  kept.trueWeightDatabase = openTestDatabase()
  valueOf(await importCase(bytes, 'case.zip', doer()))
  expect(await readSeals(caseId)).toEqual([seal])
  await (await kept.trueWeightDatabase).close()
  kept.trueWeightDatabase = here!
})

/** The case with another entry behind its last, as whoever writes a file would put it. */
function withEntry(content: CaseContent, entry: Partial<CaseContent['trail'][number]>): CaseContent {
  const { number: _, previous: __, hash: ___, ...last } = content.trail.at(-1)!
  const id = '0190163d-8694-739b-aea5-000000000009'
  const added = chained({ ...last, id, ...entry }, content.head, sha256)
  const trail = [...content.trail, added]
  return { ...content, trail, head: { length: trail.length, hash: added.hash } }
}

test('a seal that is taken away, put in, changed, or of another trail is told of', async () => {
  const content = await contentOf(await sealed())
  const other = await contentOf(await sealed())
  const broken = async (changed: Partial<CaseContent>) =>
    (await verifyRecord({ ...content, ...changed })).breaks.map(({ message }) => message)
  const gone = `Entry ${content.head.length} of the trail says that it was sealed, and there is no such seal.`
  expect(await broken({ seals: [] })).toEqual([gone])
  const [token] = content.seals
  expect(await broken({ seals: [token!, token!] })).toEqual([
    `The trail has no entry of the seal 2 over its first ${content.head.length - 1} entries.`,
  ])
  const noStamp = 'The seal 1 is no time stamp that holds over an entry of this trail.'
  expect(await broken({ seals: other.seals })).toEqual([noStamp, gone])
  expect(await broken({ seals: [Uint8Array.of(48, 0)] })).toEqual([noStamp, gone])
  // Another time stamp over the same entry than the one that was told of.
  const again = await stampFrom(undefined, content.trail.at(-2)!.hash)
  expect(await broken({ seals: [again] })).toHaveLength(2)
  // A seal can't be over the entry that tells of it, or one behind it.
  const late = withEntry(content, { action: 'changed', detail: '' })
  const over = await stampFrom(undefined, late.head.hash)
  const before = { ...(await readStamp(over))!, length: late.head.length }
  const told = withEntry(content, { detail: entryOf(before, over) })
  expect((await verifyRecord({ ...told, seals: [token!, over] })).breaks).not.toEqual([])
  const db = await kept.trueWeightDatabase!
  await db.delete(seals).where(eq(seals.caseId, content.case.id))
  expect((await verifyRecord(await contentOf(content.case.id))).breaks).toMatchObject([{ message: gone }])
})

test('an entry that is dated back behind a seal is told of', async () => {
  const content = await contentOf(await sealed())
  const at = (seconds: number) => new Date(Date.now() + seconds * 1000).toISOString()
  const notesOf = async (changed: CaseContent) => (await verifyRecord(changed)).notes
  const { number, previous: _, hash: __, ...own } = content.trail.at(-1)!
  const dated = (seconds: number) => {
    const before = content.trail.slice(0, -1)
    const head = { length: before.length, hash: before.at(-1)!.hash }
    return withEntry({ ...content, trail: before, head }, { ...own, at: at(seconds) })
  }
  expect(await notesOf(dated(-30))).toEqual(
    expect.not.arrayContaining([expect.stringContaining('was not there yet')]),
  )
  expect(await notesOf(dated(-90))).toContainEqual(
    expect.stringMatching(
      new RegExp(
        `^Entry ${number} of the trail is dated .* was not there yet when entry ${number - 1} was sealed at`,
      ),
    ),
  )
})
