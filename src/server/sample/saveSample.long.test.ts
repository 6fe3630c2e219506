import { startTestDatabase } from '@tests/database'
import { valueOf } from '@tests/outcome'
import { later, newCase, saveReadings } from '@tests/storedCase'
import { saveCase } from '../case/changeCase'
import { readRecord, readTrail } from '../case/readTrail'
import { readSampleDraft, readSampleIn } from './readSample'

const database = startTestDatabase()

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
  const db = database()
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
