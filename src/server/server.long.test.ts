import { openTestDatabase } from '@tests/database'
import { eq } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { type ClaimDraft, EMPTY_CLAIM } from '@/desk/claimDraft'
import { EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import type { Database } from '@/data/client'
import { settleOutcome } from '@/data/claimRepository'
import { claims, findings } from '@/data/schema'
import { valueOf } from '@tests/outcome'
import { addEmptyClaim, addEmptySample, openCase, saveCase } from './case/changeCase'
import { fillWithDemo } from './demo/fillWithDemo'
import { type DocketQuestion, hasCases, readCase, readDocket } from './docket/docket'
import { readRecord, readTrail } from './case/readTrail'
import { readTogether } from './case/readTogether'
import { readClaim } from './claim/readClaim'
import { readContent } from './keeping/readContent'
import { verifyRecord } from '@/casefile/follows'
import { findingBreaks } from '@/casefile/followsFindings'
import { reportOf } from '@/report/report'
import { signedReportOf } from '@/report/signedReport'
import { markdownOf } from '@/report/markdown'
import { USUAL_OPTIONS } from '@/desk/reportOptions'
import { importSheet } from './sample/importSheet'
import { readPackedColumns, readSampleDraft, readSampleIn, readSamplesOf } from './sample/readSample'
import { saveClaim } from './claim/saveClaim'
import { verifyFinding } from './finding/readFinding'
import { AT_ONCE } from '@/answers/computing'
import { fingerprintOf, fingerprintOfValue } from './fingerprint'
import { saveSample } from './sample/saveSample'
import { readToSign, signFinding } from './finding/signFinding'
import { documentOf } from './check/documentOf'
import { computeOutcomes } from './check/laterOutcomes'
import { unpackColumns } from '@/intake/sheet/columnBytes'

const now = new Date('2026-11-03T10:42:00Z')
const later = new Date('2026-11-03T10:43:00Z')
const doer = { by: 'A. Officer', now }
const EVERY_CASE: DocketQuestion = {
  state: 'any',
  order: 'changed',
  direction: 'falling',
  page: 0,
  pageSize: 50,
}
const outcomes = globalThis as { trueWeightOutcomes?: object }
const kept = globalThis as typeof globalThis & { trueWeightDatabase?: Promise<Database> }

beforeAll(async () => {
  kept.trueWeightDatabase = openTestDatabase()
  await kept.trueWeightDatabase
})
afterAll(async () => (await kept.trueWeightDatabase)?.close())

/** A new case, its claim as stored, and the sample that it is held against. */
async function newCase() {
  const { caseId, claimId } = await openCase(doer)
  const draft: ClaimDraft = (await readClaim(caseId, claimId))!.claim.draft
  return { caseId, claimId, sampleId: draft.sampleId, draft: { ...draft, claimedValue: '15' } }
}

async function saveReadings(sampleId: string, readings: string, more: Partial<SampleDraft> = {}) {
  const known = valueOf(await readSampleDraft(sampleId))
  const draft = { ...known.draft, readings, ...more }
  return saveSample(sampleId, { draft, revision: known.revision, by: 'A. Officer' }, later)
}

test('a new case has one claim, open until it is filled in', async () => {
  expect(await hasCases()).toBe(false)
  const { caseId, claimId } = await openCase(doer)
  expect(await hasCases()).toBe(true)
  const found = await readClaim(caseId, claimId)
  expect(found?.claim).toMatchObject({ draft: EMPTY_CLAIM, revision: 1 })
  expect(found?.ownCase.claims).toMatchObject([{ id: claimId, outcome: null }])
  valueOf(await addEmptyClaim(caseId, doer))
  expect((await readCase(caseId))?.claims).toHaveLength(2)
})

test('a saved claim carries the outcome of its check to the docket, and its case to the top', async () => {
  const { caseId, claimId, sampleId, draft } = await newCase()
  await openCase(doer)
  valueOf(await saveReadings(sampleId, '14.1 14.2 14.0 14.1'))
  expect(valueOf(await saveClaim(claimId, { draft, revision: 1 }, later))).toEqual({
    revision: 2,
    savedAt: later.toISOString(),
  })
  expect((await readDocket(EVERY_CASE)).cases[0]).toMatchObject({
    id: caseId,
    claims: [{ outcome: 'contradicted' }],
  })
  valueOf(await saveClaim(claimId, { draft: { ...draft, claimedValue: '' }, revision: 2 }, later))
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: null }])
})

test('a changed sample changes the outcome of every claim that it serves', async () => {
  const { caseId, claimId, sampleId, draft } = await newCase()
  valueOf(await saveClaim(claimId, { draft, revision: 1 }, now))
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: null }])
  valueOf(await saveReadings(sampleId, '14.1 14.2 14.0 14.1'))
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: 'contradicted' }])
  valueOf(await saveReadings(sampleId, '15.1 15.2 15.0 15.1'))
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: 'not-contradicted' }])
})

test('a reading that is set aside and brought back is on the trail, with who, when and why', async () => {
  const { caseId, sampleId } = await newCase()
  const setAside = [{ row: 1, reason: 'torn sack', by: 'B. Weigher' }]
  valueOf(await saveReadings(sampleId, '15 9 15.1', { setAside }))
  valueOf(await saveReadings(sampleId, '15 9 15.1', { setAside: [] }))
  expect((await readSampleIn(caseId, sampleId))?.trail).toMatchObject([
    { action: 'sample-added' },
    { action: 'claim-added' },
    { action: 'sample-changed', who: 'A. Officer', after: '{"readings":"15 9 15.1"}' },
    { action: 'set-aside', who: 'B. Weigher', detail: 'Row 2: torn sack', at: later.toISOString() },
    { action: 'brought-back', who: 'A. Officer', detail: expect.stringContaining('torn sack') },
  ])
})

test('a row that is set aside and moves is told of as moved, and the record holds', async () => {
  const { caseId, sampleId } = await newCase()
  const aside = (row: number, reason: string) => ({ row, reason, by: 'B. Weigher' })
  valueOf(await saveReadings(sampleId, '15\n9\n15.1', { setAside: [aside(1, 'torn sack')] }))
  // A reading above it, and another that is set aside where it stood.
  const both = [aside(1, 'wet sack'), aside(2, 'torn sack')]
  valueOf(await saveReadings(sampleId, '14.9\n8\n9\n15.1', { setAside: both }))
  const { trail } = (await readSampleIn(caseId, sampleId))!
  expect(trail.slice(-2)).toMatchObject([
    { action: 'sample-changed', after: expect.stringContaining('"movedRows":[[2,3]]') },
    { action: 'set-aside', detail: 'Row 2: wet sack' },
  ])
  expect((await readRecord(caseId))!.verdict).toEqual({ breaks: [], notes: [] })
})

test('ten thousand readings are set aside in one save, and brought back', async () => {
  const { caseId, sampleId } = await newCase()
  const readings = Array.from({ length: 10_000 }, (_, at) => String(at)).join('\n')
  const setAside = Array.from({ length: 9_990 }, (_, row) => ({ row, reason: 'smudged', by: '' }))
  valueOf(await saveReadings(sampleId, readings, { setAside }))
  expect(valueOf(await readSampleDraft(sampleId)).draft.setAside).toHaveLength(9_990)
  valueOf(await saveReadings(sampleId, readings, { setAside: [] }))
  expect((await readRecord(caseId))!.verdict).toEqual({ breaks: [], notes: [] })
}, 60_000)

test('an entry is never dated before the one before it, and a clock that went back is told of', async () => {
  const { caseId, sampleId } = await newCase()
  const ahead = new Date(Date.now() + 3_600_000)
  valueOf(await saveCase(caseId, { words: { notes: 'by a clock that is an hour ahead' }, by: '' }, ahead))
  // Whoever asked an hour ago, with a body that took as long, is let in now.
  valueOf(await saveReadings(sampleId, '15 15.1'))
  const times = (await readTrail(caseId, { page: 0, pageSize: 10 }))!.entries.map(({ at }) => at).toReversed()
  expect(times).toEqual(times.toSorted())
  const { entries } = (await readTrail(caseId, { page: 0, pageSize: 10, action: 'clock-back' }))!
  expect(entries).toMatchObject([
    { who: '', at: ahead.toISOString(), detail: expect.stringContaining('The clock of this machine says') },
  ])
})

test('what is changed in the database itself is noticed, and named', async () => {
  const { caseId, sampleId } = await newCase()
  valueOf(await saveReadings(sampleId, '15 9 15.1', { setAside: [{ row: 1, reason: 'torn sack', by: '' }] }))
  const db = (await kept.trueWeightDatabase)!
  const breaks = async () =>
    (await readRecord(caseId, true))!.verdict.breaks.map(({ message }) => message).join(' ')
  await db.execute(`update samples set readings = '15 9 15.2' where id = '${sampleId}'`)
  expect(await breaks()).toContain('readings is not what the trail comes to')
  await db.execute(`update claims set claimed_value = '14' where case_id = '${caseId}'`)
  expect(await breaks()).toContain('claimedValue is not what the trail comes to')
  await db.execute(`update samples set set_aside = '[]' where id = '${sampleId}'`)
  expect(await breaks()).toContain('set row 2 aside'.replace('row 2', 'a reading'))
  await db.execute(`update cases set subject = 'other' where id = '${caseId}'`)
  expect(await breaks()).toContain('subject is not what the trail comes to')
})

test('a window that has not seen the last change is told, and overwrites nothing', async () => {
  const { caseId, claimId, sampleId, draft } = await newCase()
  valueOf(await saveClaim(claimId, { draft, revision: 1 }, now))
  const late = await saveClaim(claimId, { draft: { ...draft, claimedValue: '' }, revision: 1 }, later)
  expect(late).toMatchObject({ ok: false, problem: { code: 'changed-elsewhere' } })
  expect((await readClaim(caseId, claimId))?.claim.draft.claimedValue).toBe('15')
  valueOf(await saveReadings(sampleId, '1'))
  const change = { draft: EMPTY_SAMPLE, revision: 1, by: '' }
  expect(await saveSample(sampleId, change, later)).toMatchObject({ problem: { code: 'changed-elsewhere' } })
  expect(valueOf(await readSampleDraft(sampleId)).draft.readings).toBe('1')
})

test('a claim is held against samples of its own case only', async () => {
  const { claimId, draft } = await newCase()
  const { sampleId } = await newCase()
  const saved = await saveClaim(claimId, { draft: { ...draft, sampleId }, revision: 1 }, now)
  expect(saved).toMatchObject({ ok: false, problem: { code: 'not-found' } })
})

const EMPTY = { ...EMPTY_CLAIM, sampleId: uuidv7() }

const LOG = 'depot,mass,note\n7,14.1,"a, b"\n8,15.2,\n7,14.2,c\n7,14.0,d\n'
const bodyOf = async function* (text: string) {
  for (const half of [text.slice(0, 20), text.slice(20)]) yield new TextEncoder().encode(half)
}

async function bring(caseId: string, text: string, more: object = {}) {
  const question = { caseId, fileName: 'log.csv', by: 'A. Officer', body: bodyOf(text), ...more }
  return importSheet((await kept.trueWeightDatabase)!, question, now)
}

async function brought(caseId: string, text: string, more: object = {}): Promise<string> {
  const imported = valueOf(await bring(caseId, text, more))
  if (imported.is !== 'brought-in') throw new Error('asked where nothing had to be')
  return imported.sampleId
}

test('a file becomes a sample with its hash, its columns and an entry on the trail', async () => {
  const { caseId, claimId, draft } = await newCase()
  const sampleId = await brought(caseId, LOG)
  const found = (await readSampleIn(caseId, sampleId))!
  expect(found.sample.draft).toMatchObject({
    kind: 'file',
    name: 'log',
    columns: [{ name: 'depot' }, {}, {}],
  })
  expect(found.sample.file).toMatchObject({ fileName: 'log.csv', fileBytes: LOG.length, rowCount: 4 })
  expect(found.sample.file?.fileSha256).toMatch(/^[0-9a-f]{64}$/)
  expect(found.trail).toMatchObject([{ action: 'brought-in', who: 'A. Officer' }])
  const [mass] = unpackColumns(
    new Uint8Array(
      await new Blob([...valueOf(await readPackedColumns(sampleId, ['mass']))] as BlobPart[]).arrayBuffer(),
    ),
  )
  expect(mass?.head).toMatchObject({ name: 'mass', kind: 'number', length: 4 })
  const condition = { column: 'depot', relation: 'is', value: '7', upTo: '' } as const
  const held = { ...draft, sampleId, column: 'mass', kept: [[condition]] }
  valueOf(await saveClaim(claimId, { draft: held, revision: 1 }, now))
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: 'contradicted' }])
})

test('the columns of a file keep their names and kinds; what they mean is free', async () => {
  const { caseId } = await newCase()
  const sampleId = await brought(caseId, LOG)
  const { draft } = valueOf(await readSampleDraft(sampleId))
  const change = (columns: SampleDraft['columns']) =>
    saveSample(sampleId, { draft: { ...draft, columns }, revision: 1, by: '' }, now)
  const renamed = draft.columns.map((column) => ({ ...column, name: `${column.name}!` }))
  expect(await change(renamed)).toMatchObject({ ok: false, problem: { code: 'invalid' } })
  expect(
    (await change(draft.columns.map((column) => ({ ...column, codes: '7 = North quay depot' })))).ok,
  ).toBe(true)
})

test('words among numbers are asked about, and a file that is refused leaves nothing behind', async () => {
  const { caseId } = await newCase()
  const text = 'mass\n14.1\nn/a\n14.2\n'
  const asked = await bring(caseId, text)
  expect(valueOf(asked)).toEqual({ is: 'asked', missingWords: [{ column: 'mass', word: 'n/a', count: 1 }] })
  expect(await bring(caseId, 'a,b\n1,2\n3\n')).toMatchObject({ ok: false, problem: { code: 'uneven-row' } })
  expect(await readSamplesOf(caseId)).toHaveLength(1)
  const sampleId = await brought(caseId, text, { missingWords: ['n/a'] })
  expect((await readSampleIn(caseId, sampleId))?.sample.file?.rowCount).toBe(3)
})

test.each([
  ['at once', 0],
  ['while it is stored', 0.7],
  ['at the last moment', 1],
])('an import that is broken off %s leaves nothing behind', async (_, from) => {
  const { caseId } = await newCase()
  const control = new AbortController()
  const onProgress = (_rows: number, share: number) => {
    if (share >= from) control.abort()
  }
  await expect(bring(caseId, LOG, { signal: control.signal, onProgress })).rejects.toThrow()
  expect(await readSamplesOf(caseId)).toHaveLength(1)
})

test.each([
  ['no draft', { revision: 1 }],
  ['an unknown field', { draft: { ...EMPTY, verdict: 'guilty' }, revision: 1 }],
  ['an unknown relation', { draft: { ...EMPTY, relation: 'about' }, revision: 1 }],
  ['a revision that is none', { draft: EMPTY, revision: 0 }],
  ['a text that no database can keep', { draft: { ...EMPTY, unit: '\0' }, revision: 1 }],
  ['a wording without end', { draft: { ...EMPTY, wording: 'x'.repeat(501) }, revision: 1 }],
])('refuses %s', async (_, input) => {
  const { claimId } = await openCase(doer)
  expect(await saveClaim(claimId, input, now)).toMatchObject({ ok: false, problem: { code: 'invalid' } })
})

test.each(['00', uuidv7(), "'; drop table claims; --"])('there is no claim and no case %p', async (id) => {
  const missing = { ok: false, problem: { code: 'not-found' } }
  const words = { words: { reference: '' } }
  expect(await saveClaim(id, { draft: EMPTY, revision: 1 }, now)).toMatchObject(missing)
  expect(await saveCase(id, words, now)).toMatchObject(missing)
  expect(await addEmptyClaim(id, doer)).toMatchObject(missing)
  expect(await readCase(id)).toBeUndefined()
  expect(await readClaim(id, id)).toBeUndefined()
})

test('a claim is found only under its own case', async () => {
  const [first, second] = [await openCase(doer), await openCase(doer)]
  expect(await readClaim(first.caseId, second.claimId)).toBeUndefined()
})

test('the words of a case are stored as typed', async () => {
  const { caseId } = await openCase(doer)
  const words = { reference: 'WH-014', subject: '<script>alert(1)</script>', party: 'Brackwater Pelletworks' }
  valueOf(await saveCase(caseId, { words }, later))
  expect(await readCase(caseId)).toMatchObject(words)
})

test('the demo fills an empty database once, with a claim for each parameter and findings of every outcome', async () => {
  const empty = await openTestDatabase()
  await fillWithDemo(empty)
  await fillWithDemo(empty)
  const cases = await empty.query.cases.findMany({ with: { claims: true } })
  const findings = cases.flatMap(({ reference, claims }) =>
    claims.map(({ parameter, outcome }) => [reference, parameter, outcome]),
  )
  expect(findings).toEqual([
    ['WH-014', 'mean', 'contradicted'],
    ['WH-014', 'variance-ratio', 'not-contradicted'],
    ['WH-017', 'mean', 'contradicted'],
    ['WH-017', 'proportion', 'not-contradicted'],
    ['WH-017', 'rate', 'contradicted'],
    // Of 200,000 rows: it is computed a moment later.
    ['WH-017', 'mean', null],
    ['WH-021', 'mean', 'not-contradicted'],
    ['WH-021', 'standard-deviation', 'not-contradicted'],
    ['WH-026', 'mean', 'not-contradicted'],
    ['WH-026', 'variance', 'not-contradicted'],
    ['WH-030', 'mean', 'supported'],
    ['WH-030', 'median', 'not-supported'],
    ['WH-033', 'mean', 'contradicted'],
    ['WH-033', 'proportion', 'not-contradicted'],
    ['WH-033', 'mean', 'contradicted'],
    ['WH-033', 'mean', 'not-contradicted'],
    ['WH-033', 'median', 'not-contradicted'],
    // A control of net content, held against what a mean is held against.
    ['WH-037', 'mean', 'contradicted'],
    ['WH-037', 'mean', 'not-contradicted'],
    ['WH-041', 'mean', 'supported'],
    ['WH-041', 'mean', 'not-contradicted'],
    ['WH-041', 'mean', 'not-contradicted'],
    ['WH-041', 'mean', 'supported'],
    ['WH-041', 'mean', 'not-contradicted'],
    ['WH-041', 'mean', 'not-contradicted'],
    ['WH-041', 'mean', 'supported'],
    ['WH-041', 'standard-deviation', 'not-contradicted'],
  ])
  await empty.close()
})

test('an outcome that takes long is stored as being computed, and filled in once it is known', async () => {
  const { caseId, claimId, draft, sampleId } = await newCase()
  const readings = Array.from({ length: 400 }, (_, at) => (14 + (at % 10) / 100).toFixed(2))
  const bootstrap = { ...draft, method: 'bootstrap' } as const
  valueOf(await saveReadings(sampleId, readings.join(' ')))
  // Another is being computed meanwhile.
  const running = { isRunning: true, isAgain: false, wanting: new WeakSet<object>() }
  outcomes.trueWeightOutcomes = running
  valueOf(await saveClaim(claimId, { draft: bootstrap, revision: 1 }, later))
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: null, isComputing: true }])
  expect(running.isAgain).toBe(true)
  running.isRunning = false
  computeOutcomes(await kept.trueWeightDatabase!)
  const settled = async () => {
    for (;;) {
      const [claim] = (await readCase(caseId))!.claims
      if (!claim!.isComputing) return claim!.outcome
    }
  }
  expect(await settled()).toBe('contradicted')
  // What is computed of a claim that was changed meanwhile is not taken for what it comes to now.
  valueOf(await saveClaim(claimId, { draft: { ...bootstrap, claimedValue: '14' }, revision: 2 }, later))
  valueOf(await saveReadings(sampleId, readings.map((one) => `${Number(one) - 1}`).join(' ')))
  expect(await settled()).toBe('contradicted')
  valueOf(await saveClaim(claimId, { draft: { ...bootstrap, claimedValue: '13' }, revision: 3 }, later))
  expect(await settled()).toBe('not-contradicted')
})

test('what is computed does not take the place of what was changed meanwhile', async () => {
  const { claimId, draft, caseId } = await newCase()
  const db = await kept.trueWeightDatabase!
  await db.update(claims).set({ isComputing: true }).where(eq(claims.id, claimId))
  const { trailHash } = (await readCase(caseId))!
  await settleOutcome(db, { id: claimId, trailHash: 'an earlier one' }, 'supported')
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: null, isComputing: true }])
  await settleOutcome(db, { id: claimId, trailHash }, 'supported')
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: 'supported', isComputing: false }])
  await settleOutcome(db, { id: claimId, trailHash }, 'contradicted')
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: 'supported' }])
  valueOf(await saveClaim(claimId, { draft, revision: 1 }, later))
})

/** A claim that can be signed, and the fingerprint of what whoever signs has before them. */
async function signable() {
  const made = await newCase()
  valueOf(await saveReadings(made.sampleId, '14.1 14.2 14.0 14.1'))
  valueOf(await saveClaim(made.claimId, { draft: { ...made.draft, remarks: 'seen' }, revision: 1 }, later))
  const document = await documentOf(await kept.trueWeightDatabase!, made.draft)
  return { ...made, inputFingerprint: fingerprintOfValue({ document, remarks: 'seen' }) }
}

const signature = { signedBy: ' A. Inspector ', signedOn: '2026-11-03' }

test('a signed finding stays as it was, whatever becomes of the claim, and comes to the same figures', async () => {
  const { claimId, draft, sampleId, inputFingerprint } = await signable()
  expect(valueOf(await signFinding(claimId, { ...signature, inputFingerprint }, later))).toEqual({
    number: 1,
  })
  const before = await verifyFinding(claimId, '1')
  valueOf(await saveClaim(claimId, { draft: { ...draft, claimedValue: '3' }, revision: 2 }, later))
  valueOf(await saveReadings(sampleId, '1 2 3'))
  const after = await verifyFinding(claimId, '1')
  expect(after).toEqual(before)
  expect(after).toMatchObject({
    isWhole: true,
    differences: [],
    row: { signedBy: 'A. Inspector', outcome: 'contradicted', number: 1 },
    signed: { claim: { draft: { remarks: 'seen', claimedValue: '15' } }, samples: [{ id: sampleId }] },
  })
  expect(fingerprintOf(after!.row.signed)).toBe(after!.row.fingerprint)
})

test('a finding that replaces another says which one and why, in what is signed, and the record bears it out', async () => {
  const { caseId, claimId, draft, inputFingerprint } = await signable()
  // Of a first one there is nothing to give a reason for.
  valueOf(await signFinding(claimId, { ...signature, inputFingerprint, reason: 'none' }, later))
  const changed = { ...draft, remarks: 'seen', claimedValue: '14.9' }
  valueOf(await saveClaim(claimId, { draft: changed, revision: 2 }, later))
  const document = await documentOf(await kept.trueWeightDatabase!, changed)
  const again = { ...signature, inputFingerprint: fingerprintOfValue({ document, remarks: 'seen' }) }
  const reason = ' the label says 14.9 kg '
  const toSign = valueOf(await readToSign(claimId, { ...again, reason }, later))
  valueOf(await signFinding(claimId, { ...again, reason }, later))
  const [first, second] = [await verifyFinding(claimId, '1'), await verifyFinding(claimId, '2')]
  expect(toSign.signed).toBe(second!.row.signed)
  expect(first!.signed).not.toHaveProperty('replaces')
  expect(second!.signed).toMatchObject({
    replaces: { number: 1, fingerprint: first!.row.fingerprint, reason: 'the label says 14.9 kg' },
  })
  const content = (await readContent(await kept.trueWeightDatabase!, caseId))!
  expect(await verifyRecord(content)).toMatchObject({ breaks: [] })
  const text = markdownOf(await reportOf(content, USUAL_OPTIONS))
  expect(text).toContain('It replaces signed finding 1: “the label says 14.9 kg”')
  const tooLong = { ...again, reason: 'x'.repeat(2001) }
  expect(await signFinding(claimId, tooLong, later)).toMatchObject({
    ok: false,
    problem: { code: 'invalid' },
  })
})

test('who works where a finding is signed by another name stands on the trail, in what is signed and in what is told of it', async () => {
  const { caseId, claimId, inputFingerprint } = await signable()
  const own = { ...signature, inputFingerprint, by: ' A. Inspector' }
  expect(valueOf(await readToSign(claimId, own, later)).signed).not.toContain('enteredBy')
  valueOf(await signFinding(claimId, { ...own, by: ' B. Weigher ' }, later))
  const content = (await readContent(await kept.trueWeightDatabase!, caseId))!
  expect(content.trail.at(-1)).toMatchObject({
    ...{ action: 'signed', who: 'A. Inspector' },
    detail: expect.stringMatching(/, entered by B\. Weigher$/),
  })
  expect(await verifyRecord(content)).toMatchObject({ breaks: [] })
  expect(markdownOf(await reportOf(content, USUAL_OPTIONS))).toMatch(
    /by A\. Inspector on 2026-11-03 \(on the trail at [^)]+, entered by B\. Weigher\)/,
  )
  // Its own report says so too, and an entry that names nobody, or somebody else, tells of another signature.
  const [finding] = content.findings
  expect(markdownOf(await signedReportOf(content, finding!, USUAL_OPTIONS))).toContain(
    'entered by B. Weigher',
  )
  for (const other of ['', ', entered by C. Weigher']) {
    const trail = content.trail.map((entry) => ({
      ...entry,
      detail: entry.detail.replace(', entered by B. Weigher', other),
    }))
    const breaks = await findingBreaks({ ...content, trail }, AT_ONCE)
    expect(breaks.map(({ message }) => message)).toEqual([
      expect.stringContaining('has no entry that A. Inspector signed the finding 1'),
      expect.stringContaining('says that A. Inspector signed'),
    ])
  }
})

test('the figure of a whole lot is marked, signed, reported and follows from the record, and is no part of several tests', async () => {
  const { caseId, claimId, draft, sampleId } = await newCase()
  valueOf(await saveReadings(sampleId, '14.1 14.2 14.0 14.1', { lotSize: '4' }))
  valueOf(await saveClaim(claimId, { draft, revision: 1 }, later))
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: 'contradicted' }])
  const document = await documentOf(await kept.trueWeightDatabase!, draft)
  const inputFingerprint = fingerprintOfValue({ document, remarks: draft.remarks })
  valueOf(await signFinding(claimId, { ...signature, inputFingerprint }, later))
  expect(await verifyFinding(claimId, '1')).toMatchObject({ isWhole: true, differences: [] })
  expect(await readTogether(caseId)).toEqual([])
  const content = (await readContent(await kept.trueWeightDatabase!, caseId))!
  expect(await verifyRecord(content)).toMatchObject({ breaks: [] })
  const text = markdownOf(await reportOf(content, USUAL_OPTIONS)).replaceAll('\u202f', ' ')
  expect(text).toContain('| Contradicted |  | whole lot | A. Inspector, 2026-11-03 |')
  expect(text).toContain('All 4 units of the lot were taken, so this is no sample')
  expect(text).toContain('| Size of the lot | 4 |')
  expect(text).toMatch(/Check document of claim 1 \| [0-9a-f]{64}/)
  expect(text).not.toMatch(/p-value 0|There is no finding|Several claims together/)
  // With a reading set aside it is a sample again, beside the whole lot.
  valueOf(
    await saveReadings(sampleId, '14.1 14.2 14.0 14.1', {
      setAside: [{ row: 0, reason: 'torn', by: 'A. Officer' }],
    }),
  )
  const aside = (await readContent(await kept.trueWeightDatabase!, caseId))!
  const report = markdownOf(await reportOf(aside, USUAL_OPTIONS)).replaceAll('\u202f', ' ')
  expect(report).toContain('With everything that is set aside: All 4 units of the lot were taken')
  // What was signed stands before what has changed since.
  const [signed, now] = report.split('have changed since. What follows')
  expect(signed).toContain('Signed finding 1, by A. Inspector')
  expect(signed).toContain('All 4 units of the lot were taken')
  expect(now).not.toContain('Signed finding')
})

test('a report says what was signed as it was signed, and only then what has changed since', async () => {
  const { caseId, claimId, draft, inputFingerprint } = await signable()
  valueOf(await signFinding(claimId, { ...signature, inputFingerprint }, later))
  const reported = async () => {
    const content = (await readContent(await kept.trueWeightDatabase!, caseId))!
    return markdownOf(await reportOf(content, USUAL_OPTIONS)).replaceAll('\u202f', ' ')
  }
  const current = await reported()
  expect(current).toContain(
    'Signed finding 1, by A. Inspector on 2026-11-03 (on the trail at 2026-11-03 10:43:00 UTC), by name',
  )
  expect(current).toMatch(/\| Readings tested \| 4 \| 4 \|/)
  expect(current).toMatch(/\| p-value \| < 0\.001 \| 0\.0001021594802 \|/)
  expect(current).toContain('Remarks signed with it: seen')
  expect(current).toContain(
    'What stands now is what signed finding 1 says. What follows is what it rests on.',
  )
  expect(current).toContain('| No. | Claim | Finding | Level | p-value | Signed |')
  expect(current).toContain('| A. Inspector, 2026-11-03 |')
  // It is said once, not once as signed and once more.
  expect(current.match(/the claim that the mean is at least 15\b/g)).toHaveLength(1)
  const change = { ...draft, claimedValue: '14.1', remarks: 'changed' }
  valueOf(await saveClaim(claimId, { draft: change, revision: 2 }, later))
  const changed = await reported()
  expect(changed).toContain('| No. | Claim | Finding now | Level | p-value | Signed |')
  expect(changed).toContain('| contradicted: A. Inspector, 2026-11-03; changed since |')
  const [signed, now] = changed.split('The claim, its evidence or the remarks have changed since.')
  const sentence = /the claim that the mean is at least 15\b/
  expect(signed).toMatch(sentence)
  expect(signed).toContain('Remarks signed with it: seen')
  expect(now).not.toMatch(sentence)
  expect(now).toContain('Remarks: changed')
  // Changed back, it is what was signed.
  valueOf(await saveClaim(claimId, { draft: { ...draft, remarks: 'seen' }, revision: 3 }, later))
  expect(await reported()).toContain('What stands now is what signed finding 1 says.')
})

test('nothing is signed without a name, on no day, or that is not what is stored', async () => {
  const { claimId, inputFingerprint } = await signable()
  const codeOf = async (change: object) => {
    const signed = await signFinding(claimId, { ...signature, inputFingerprint, ...change }, later)
    return signed.ok ? undefined : signed.problem.code
  }
  expect(await codeOf({ signedBy: ' ' })).toBe('name-needed')
  expect(await codeOf({ signedOn: '2026-02-30' })).toBe('day-needed')
  expect(await codeOf({ signedOn: '3 November' })).toBe('day-needed')
  expect(await codeOf({ inputFingerprint: 'another' })).toBe('changed-elsewhere')
  expect(await codeOf({ more: true })).toBe('invalid')
  const open = await newCase()
  const nothing = await signFinding(open.claimId, { ...signature, inputFingerprint }, later)
  expect(nothing).toMatchObject({ ok: false, problem: { code: 'nothing-to-sign' } })
  expect(await signFinding('nowhere', { ...signature, inputFingerprint }, later)).toMatchObject({ ok: false })
})

test('a finding is signed on no day that is to come, and on none before its sample was drawn', async () => {
  const { claimId, sampleId, inputFingerprint } = await signable()
  valueOf(await saveReadings(sampleId, '14.1 14.2 14.0 14.1', { drawnWhen: '2026-10-30 to 2026-11-02' }))
  const signedOn = async (day: string) => {
    const asked = { ...signature, signedOn: day, inputFingerprint }
    const signed = await readToSign(claimId, asked, later)
    return signed.ok ? 'signed' : signed.problem.message
  }
  expect(await signedOn('2026-11-01')).toBe(
    '2026-11-01 is before 2026-11-02, by when the sample was drawn and measured. Write the day on which the finding is signed, or mend that of the sample.',
  )
  expect(await signedOn('2026-11-02')).toBe('signed')
  // It is the 4th already where the day begins first.
  expect(await signedOn('2026-11-04')).toBe('signed')
  expect(await signedOn('2026-11-05')).toBe(
    '2026-11-05 is to come: this server has 2026-11-03 10:43:00 UTC. Write the day on which the finding is signed.',
  )
  const late = await signFinding(claimId, { ...signature, signedOn: '1999-02-01', inputFingerprint }, later)
  expect(late).toMatchObject({ ok: false, problem: { code: 'day-needed', path: 'signedOn' } })
  // It may have been measured after it was drawn.
  const drawnWhen = '2026-10-30'
  for (const measuredOn of ['2026-10-31 to 2026-11-02', '2026-10-29', 'soon']) {
    valueOf(await saveReadings(sampleId, '14.1 14.2 14.0 14.1', { drawnWhen, measuredOn }))
    expect(await signedOn('2026-11-01')).toMatch(measuredOn.includes('to') ? 'before 2026-11-02' : 'signed')
    expect(await signedOn('2026-10-29')).toMatch(/is before 2026-(11-02|10-30)/)
  }
  // Where nobody says when it was drawn, any day before will do.
  valueOf(await saveReadings(sampleId, '14.1 14.2 14.0 14.1', { drawnWhen: '', measuredOn: '' }))
  expect(await signedOn('2026-01-14')).toBe('signed')
})

test('a finding that was altered is told by its fingerprint, and figures that differ by their paths', async () => {
  const { claimId, inputFingerprint } = await signable()
  valueOf(await signFinding(claimId, { ...signature, inputFingerprint }, later))
  const db = await kept.trueWeightDatabase!
  const row = await verifyFinding(claimId, '1')
  const altered = row!.row.signed.replace(/"statistic":-?[\d.]+/, '"statistic":-1')
  await db.update(findings).set({ signed: altered }).where(eq(findings.claimId, claimId))
  expect(await verifyFinding(claimId, '1')).toMatchObject({ isWhole: false, differences: ['test.statistic'] })
  expect(await verifyFinding(claimId, '2')).toBeUndefined()
  expect(await verifyFinding(claimId, '1.5')).toBeUndefined()
})

test('a claim about two sources follows a change of either, and takes no sample of another case', async () => {
  const { caseId, claimId, sampleId, draft } = await newCase()
  const { sampleId: other } = valueOf(await addEmptySample(caseId, doer))
  const two = {
    ...draft,
    parameter: 'variance-ratio',
    relation: 'equal-to',
    claimedValue: '1',
    secondSampleId: other,
  } as const
  valueOf(await saveReadings(sampleId, '14 15 16 17 18 19'))
  valueOf(await saveReadings(other, '14 15 16 17 18 20'))
  valueOf(await saveClaim(claimId, { draft: two, revision: 1 }, later))
  const outcome = async () => (await readCase(caseId))?.claims.find(({ id }) => id === claimId)?.outcome
  expect(await outcome()).toBe('not-contradicted')
  valueOf(await saveReadings(other, '1\n150\n3\n400\n5\n999'))
  expect(await outcome()).toBe('contradicted')
  expect((await readClaim(caseId, claimId))?.second?.id).toBe(other)
  const elsewhere = await newCase()
  const wrong = { ...two, secondSampleId: elsewhere.sampleId }
  expect(await saveClaim(claimId, { draft: wrong, revision: 2 }, later)).toMatchObject({
    ok: false,
    problem: { code: 'not-found' },
  })
})
