import { bytesOf, changedFile, edit } from '@tests/changedFile'
import { startTestDatabase } from '@tests/database'
import { exportedDemo } from '@tests/exportedDemo'
import { importCase } from './caseFile'

const database = startTestDatabase()
const doer = { by: 'C. Colleague', now: new Date('2026-11-05T08:00:00Z') }
let whole: Uint8Array
beforeAll(async () => {
  whole = (await exportedDemo(database())).get('WH-014')!.bytes
}, 120_000)

/** The case file with some of its entries changed. */
const changed = (...change: Parameters<typeof changedFile> extends [unknown, ...infer Rest] ? Rest : never) =>
  changedFile(whole, ...change)

test.each<readonly [string, () => Uint8Array, string]>([
  [
    'a reading that was altered',
    () => changed(edit('samples/01.json', '14.', '15.')),
    'samples/01.json was altered',
  ],
  [
    'a wording that was altered',
    () => changed(edit('claims/01.json', 'even', 'odd')),
    'claims/01.json was altered',
  ],
  [
    'a file that is missing',
    () =>
      changed((entries) => {
        delete entries['claims/02.json']
      }),
    'claims/02.json is missing',
  ],
  [
    'a file that the manifest does not name',
    () => changed((entries) => (entries['checks/09.json'] = bytesOf('{}'))),
    'does not name checks/09.json',
  ],
  [
    'a path out of the file',
    () => changed((entries) => (entries['../../etc/passwd'] = bytesOf('x'))),
    '“../../etc/passwd” has no place',
  ],
  [
    'a manifest that names a file twice',
    () => changed(edit('manifest.json', /"files": \[\s*(\{[^}]*\})/, '"files": [$1, $1')),
    'manifest.json names a file twice',
  ],
  [
    'a file with other bytes than the manifest says',
    () => changed((entries) => (entries['README.txt'] = bytesOf('short'))),
    'README.txt was altered: it has 5 bytes, and its manifest says',
  ],
  ['no trail', () => changed((entries) => delete entries['trail.ndjson']), 'trail.ndjson is missing'],
  [
    'a path from the root',
    () => changed((entries) => (entries['/samples/01.csv'] = bytesOf('x'))),
    'has no place',
  ],
  [
    'a reading altered with its hash',
    () => changed(edit('samples/01.json', '14.', '15.'), 'made anew'),
    'readings is not what the trail comes to',
  ],
  [
    'a result altered with its hash',
    () => changed(edit('results/02.json', '"rejected"', '"kept"'), 'made anew'),
    'is not what checks/',
  ],
  [
    'a trail altered with its hash',
    () => changed(edit('trail.ndjson', 'inspector', 'nobody'), 'made anew'),
    'The chain is broken at entry 1',
  ],
  [
    'a trail cut short with its hash',
    () => changed(edit('trail.ndjson', /\n[^\n]+\n$/, '\n'), 'made anew'),
    'had more entries',
  ],
  [
    'a signed finding altered with its hash',
    () => changed(edit('findings/01-01.json', '2026-11-04\\"', '2026-11-01\\"'), 'made anew'),
    'was altered: its fingerprint',
  ],
  [
    'a claim of no sample',
    () => changed(edit('claims/01.json', /"sampleId": "[^"]{8}/, '"sampleId": "00000000'), 'made anew'),
    'which is not in it',
  ],
  [
    'a field that is none',
    () => changed(edit('case.json', '"party"', '"extra": 1, "party"'), 'made anew'),
    'case.json is not as it has to be',
  ],
  [
    'an entry that is no JSON',
    () => changed((entries) => (entries['case.json'] = bytesOf('{')), 'made anew'),
    "case.json can't be read as JSON: ",
  ],
  [
    'an entry that says something twice',
    () => changed(edit('case.json', '"party"', '"party": "Another", "party"'), 'made anew'),
    "case.json can't be read as JSON: one object has “party” twice, and which is meant can't be told.",
  ],
  ['a file that is cut off', () => whole.slice(0, 5000), 'is no ZIP file, or is damaged'],
  ['something else', () => bytesOf('hello'), 'is no ZIP file, or is damaged'],
])('refuses %s, and says where', async (_, make, message) => {
  const refused = await importCase(make(), 'case.zip', doer)
  expect(refused).toMatchObject({ ok: false, problem: { code: 'case-file' } })
  expect(refused.ok || refused.problem.message).toContain(message)
})
