import type { Pieces } from '@/desk/pieces'
import { openTestDatabase } from '@tests/database'
import { readSheet } from '@/intake/sheet/readSheet'
import { guessFormat } from '@/intake/sheet/format'
import { unzipSync } from 'fflate'
import type { Database } from '@/data/client'
import { EMPTY_CASE } from '@/desk/caseWords'
import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { columnNamed, EMPTY_SAMPLE } from '@/desk/sampleDraft'
import { readClaimAgainst } from '@/intake/claimDocument'
import { askedOf } from '@/intake/readDraft'
import { readSpecification } from '@/intake/specification/specification'
import { valueOf } from '@tests/outcome'
import { addCase } from '../case/addCase'
import { addSpecification } from '../case/addSpecification'
import { turn } from '../case/discard'
import { duplicateCase } from '../case/duplicateCase'
import { addClaim } from '../claim/addClaim'
import { exportSpecification } from '../claim/exportSpecification'
import { readDraftOf } from '../claim/readClaim'
import { saveClaim } from '../claim/saveClaim'
import { readCase } from '../docket/docket'
import { fingerprintOfValue } from '../fingerprint'
import { verifyFinding } from '../finding/readFinding'
import { signFinding } from '../finding/signFinding'
import { exportCase, importCase } from '../keeping/caseFile'
import { exportFindings } from '../programs/exportFindings'
import { apiFindings } from '../programs/api'
import { addSample } from '../sample/addSample'
import { documentOf } from '../check/documentOf'
import { changeGroups, claimOfGroup, readGroups, readLotsOf } from './groups'

const kept = globalThis as typeof globalThis & { trueWeightDatabase?: Promise<Database> }
const now = new Date('2026-11-05T08:00:00Z')
const doer = { by: 'A. Officer', now }
const LOG = ['north\t14.9', 'north\t15.1', 'north\t14.8', 'south\t15.2', 'south\t15.3', 'south\t15.1'].join(
  '\n',
)

async function collect(body: Pieces): Promise<Buffer> {
  const parts: Uint8Array[] = []
  for await (const part of body) parts.push(part)
  return Buffer.concat(parts)
}

let db: Database
beforeAll(async () => {
  db = await openTestDatabase()
  kept.trueWeightDatabase = Promise.resolve(db)
})
afterAll(() => db.close())

async function newCase() {
  const caseId = await addCase(db, { ...EMPTY_CASE, reference: '=1+1', subject: 'Sacks' }, doer)
  const sheet = {
    ...EMPTY_SAMPLE,
    readings: LOG,
    columns: [columnNamed('line', 'category'), { ...columnNamed('mass', 'number'), unit: 'kg' }],
  }
  const [sampleId, other] = [
    await addSample(db, { caseId, draft: sheet }, doer),
    await addSample(
      db,
      {
        caseId,
        draft: { ...sheet, readings: LOG.replaceAll('14.', '13.'), lot: 'L-2', drawnWhen: '2026-02-01' },
      },
      doer,
    ),
  ]
  const draft = {
    ...EMPTY_CLAIM,
    claimedValue: '15',
    unit: 'kg',
    column: 'mass',
    quantity: 'net mass',
    sampleId,
  }
  const claimId = await addClaim(db, { caseId, draft }, doer)
  return { caseId, claimId, sampleId, other, draft }
}

test('by which column a claim is held is kept with it and on the trail, and each group can become a claim, once', async () => {
  const { caseId, claimId, draft } = await newCase()
  valueOf(
    await changeGroups(
      claimId,
      { change: { groupsBy: 'line', adjustment: 'benjamini-hochberg' }, by: 'A. Officer' },
      now,
    ),
  )
  const stored = valueOf(await readDraftOf(claimId)).draft
  expect(stored).toEqual({ ...draft, groupsBy: 'line', adjustment: 'benjamini-hochberg' })
  expect(valueOf(await readGroups(stored)).groups).toMatchObject([
    { label: 'north', n: 3 },
    { label: 'south', n: 3 },
  ])
  const first = valueOf(await claimOfGroup(claimId, 'north', doer))
  expect(valueOf(await claimOfGroup(claimId, 'north', doer))).toEqual(first)
  expect(valueOf(await readDraftOf(first.claimId)).draft).toMatchObject({
    kept: [[{ column: 'line', relation: 'is', value: 'north', upTo: '' }]],
    groupsBy: '',
  })
  expect((await readCase(caseId))!.claims).toHaveLength(2)
  for (const [id, input, code] of [
    [claimId, { change: { groupsBy: 5 }, by: '' }, 'invalid'],
    [claimId, { change: { relation: 'at-most' }, by: '' }, 'invalid'],
    [claimId, null, 'invalid'],
    ['x', { change: {}, by: '' }, 'not-found'],
  ] as const)
    expect(await changeGroups(id, input, now)).toMatchObject({ ok: false, problem: { code } })
  expect(await claimOfGroup('x', 'north', doer)).toMatchObject({ ok: false, problem: { code: 'not-found' } })
})

test('lots are samples of the same case, stay while a claim names them, and go with it', async () => {
  const { caseId, claimId, other } = await newCase()
  const elsewhere = await newCase()
  expect(await changeGroups(claimId, { change: { lots: [elsewhere.sampleId] }, by: '' }, now)).toMatchObject({
    ok: false,
    problem: { code: 'not-found' },
  })
  valueOf(await changeGroups(claimId, { change: { lots: [other] }, by: '' }, now))
  const { draft } = valueOf(await readDraftOf(claimId))
  const found = valueOf(await readLotsOf(draft, { pool: true }))
  expect(found.lots).toMatchObject([
    { label: 'L-2', day: '2026-02-01', n: 6 },
    { label: 'Lot 1', n: 6 },
  ])
  expect(found.pooled).toMatchObject({ ok: true, test: { method: 'cluster-t' } })
  expect(await turn(caseId, { what: 'sample', id: other, isDiscarded: true }, doer)).toMatchObject({
    ok: false,
    problem: { code: 'rested-on' },
  })
  const copy = valueOf(await duplicateCase(caseId, doer))
  const [own] = (await readCase(copy.caseId))!.claims
  const { lots } = valueOf(await readDraftOf(own!.id)).draft
  expect(lots).toHaveLength(1)
  expect(lots).not.toContain(other)
})

test('a control is signed with its plan, verified, and comes in elsewhere with its case', async () => {
  const { caseId, claimId, draft } = await newCase()
  const control = { ...draft, control: 'net-content', quantity: 'a sack' } as const
  valueOf(await saveClaim(claimId, { draft: control, revision: 1, by: '' }, now))
  expect((await readCase(caseId))!.claims).toMatchObject([{ outcome: 'not-contradicted' }])
  const document = (await documentOf(db, control))!
  const inputFingerprint = fingerprintOfValue({ document, remarks: '' })
  valueOf(
    await signFinding(claimId, { signedBy: 'A. Officer', signedOn: '2026-11-05', inputFingerprint }, now),
  )
  const verified = (await verifyFinding(claimId, '1'))!
  expect(verified).toMatchObject({
    isWhole: true,
    differences: [],
    signed: { result: { kind: 'content', content: { controlPlan: { name: 'average system (OIML R 87)' } } } },
  })
  const file = await collect(valueOf(await exportCase(caseId)).bytes)
  const there = await openTestDatabase()
  kept.trueWeightDatabase = Promise.resolve(there)
  expect(valueOf(await importCase(file, 'case.zip', doer))).toEqual({ caseId })
  expect((await readCase(caseId))!.claims).toMatchObject([
    { outcome: 'not-contradicted', control: 'net-content' },
  ])
  kept.trueWeightDatabase = Promise.resolve(db)
  await there.close()
})

test('a specification adds all of its claims or none, and comes out as it went in', async () => {
  const { caseId, sampleId } = await newCase()
  const elsewhere = await newCase()
  const text = 'characteristic;relation;value;unit\nmass;at least;15;kg\nlength;at most;3;mm\n'
  const claims = valueOf(readSpecification(text, [{ name: 'mass', label: '' }])).rows.flatMap((row) =>
    row.ok ? [row.claim] : [],
  )
  for (const input of [
    { sampleId: elsewhere.sampleId, claims, by: '' },
    { sampleId, claims: [...claims, { wrong: 1 }], by: '' },
    { sampleId, claims: [], by: '' },
  ])
    expect(await addSpecification(caseId, input, now)).toMatchObject({ ok: false })
  expect((await readCase(caseId))!.claims).toHaveLength(1)
  expect(valueOf(await addSpecification(caseId, { sampleId, claims, by: 'A. Officer' }, now))).toEqual({
    added: 2,
  })
  expect((await readCase(caseId))!.claims).toMatchObject([
    {},
    { outcome: 'not-contradicted' },
    { outcome: null },
  ])
  const made = valueOf(await exportSpecification(caseId))
  const written = (await collect(made.body)).toString()
  expect(written.split('\r\n').slice(1, 4)).toEqual([
    'net mass,mean,at least,15,,kg,mass,0.05,,,',
    'mass,mean,at least,15,,kg,mass,0.05,,,',
    'length,mean,at most,3,,mm,,0.05,,,',
  ])
  expect(await exportSpecification('x')).toMatchObject({ ok: false, problem: { code: 'not-found' } })
})

test('findings as data have the figures of the check, and no cell that a spreadsheet runs', async () => {
  const { caseId, claimId, draft } = await newCase()
  const reading = await readClaimAgainst(draft, async () => undefined)
  expect(reading && askedOf(reading)).toBeUndefined()
  const made = valueOf(await exportFindings(caseId, 'csv'))
  const bytes = await collect(made.body)
  const sheet = valueOf(await readSheet({ source: () => [bytes], format: guessFormat(bytes) }))
  expect(sheet.rowCount).toBe(1)
  expect(bytes.toString()).toContain(",'=1+1,Sacks,")
  const { findings } = valueOf(await apiFindings(new URLSearchParams({ text: '=1+1' })))
  const own = findings.find((row) => row.claimId === claimId)!
  expect(own).toMatchObject({
    reference: '=1+1',
    n: 6,
    claimedValue: 15,
    significanceLevel: 0.05,
    outcome: 'not-contradicted',
    signedBy: '',
    method: 't test',
  })
  expect(own.estimate).toBeCloseTo(90.4 / 6, 12)
  expect(own.adjustedPValue).toBe(own.pValue)
  const book = unzipSync(await collect(valueOf(await exportFindings(caseId, 'xlsx')).body))
  const cells = Object.entries(book)
    .filter(([name]) => /sheet1\.xml|sharedStrings/.test(name))
    .map(([, part]) => new TextDecoder().decode(part))
    .join('')
  expect(cells).toContain('=1+1')
  expect(cells).not.toContain('<f>')
  expect(await exportFindings('x', 'csv')).toMatchObject({ ok: false, problem: { code: 'not-found' } })
})
