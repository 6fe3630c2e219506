import { type CaseContent, sha256 } from '@/casefile/content'
import { readCaseFile } from '@/casefile/read'
import { honest, relinked, bytesOf, type Forgery, finding, resigned, refusalOf } from './honestCase'

test('another row of a typed list that is set aside is told of', async () => {
  const all = await honest()
  const samples = all.samples.map((one, at) =>
    at === 0 ? { ...one, draft: { ...one.draft, setAside: [{ ...one.draft.setAside[0]!, row: 0 }] } } : one,
  )
  const unsigned = relinked(all.trail.filter(({ action }) => action !== 'signed'))
  const read = await readCaseFile(await bytesOf({ ...all, ...unsigned, samples, findings: [] }))
  if (!read.ok) throw new Error(read.problem.message)
  expect(read.value.notes).toEqual([
    expect.stringContaining(
      'row 1 is set aside (“the sack was torn”); the trail tells of it under another row',
    ),
  ])
})

const entry = (all: CaseContent, action: string, after: unknown) =>
  relinked(all.trail.map((one) => (one.action === action ? { ...one, after: JSON.stringify(after) } : one)))

test.each<readonly [string, Forgery]>([
  ...[{}, [], 1, { document: {}, result: {} }, { kind: 'true-weight-signed-finding' }].map(
    (text) =>
      [
        `a signed text that is ${JSON.stringify(text)}`,
        (all: CaseContent) => {
          const signed = JSON.stringify(text)
          return { ...all, findings: [{ ...finding(all), signed, fingerprint: sha256(signed) }] }
        },
      ] as const,
  ),
  [
    'a result of another core with no test in it',
    (all) => ({
      ...all,
      findings: [
        {
          ...resigned(
            finding(all),
            (signed) =>
              (signed.result = { ok: true, coreVersion: '0.1.0', finding: { outcome: 'supported' } }),
          ),
          coreVersion: '0.1.0',
        },
      ],
    }),
  ],
  ['what is set aside as a number', (all) => ({ ...all, ...entry(all, 'sample-added', { setAside: 5 }) })],
  [
    'moves that are none',
    (all) => ({ ...all, ...entry(all, 'brought-in', { movedRows: [5, null, 'x'], cells: [] }) }),
  ],
  [
    'a stretch that is none',
    (all) => ({ ...all, ...entry(all, 'claim-added', { wording: { from: 'x', text: 5 } }) }),
  ],
  ['half of a character', (all) => ({ ...all, ...entry(all, 'claim-added', { wording: '\ud800' }) })],
])('%s is refused in words', async (_, forge) => {
  expect(await refusalOf(forge(await honest()))).toMatch(/This is no case file that can be taken: /)
})

test('times that run backwards are told of', async () => {
  const all = await honest()
  const years = ['1999', '2031']
  const trail = relinked(
    all.trail.map((entry, at) =>
      entry.action === 'signed' ? entry : { ...entry, at: entry.at.replace('2026', years[at % 2]!) },
    ),
  )
  const read = await readCaseFile(await bytesOf({ ...all, ...trail }))
  if (!read.ok) throw new Error(read.problem.message)
  expect(read.value.notes.join(' ')).toMatch(/Entry 3 of the trail is dated before the one before it/)
})
