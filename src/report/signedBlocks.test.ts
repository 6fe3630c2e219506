import { check } from '@/answers/check'
import { answer } from '@/answers/answer'
import { CORE_VERSION } from '@/claims/terms/version'
import { signedBlocks } from './signedBlocks'

const document = {
  claim: { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg' },
  evidence: { kind: 'readings', values: [14.93, 14.88, 15.02, 14.9, 14.97, 14.91, 14.86, 14.99] },
} as const
const draft = { remarks: ' seen ', wording: '15 kg net', source: 'label', decimals: '2', unit: 'kg' }

function blocksOf(text: object) {
  const finding = {
    id: 'f',
    claimId: 'c',
    number: 2,
    signedBy: 'A. Officer',
    signedOn: '2026-11-03',
    outcome: 'contradicted',
    coreVersion: CORE_VERSION,
    fingerprint: 'abc',
    inputFingerprint: '',
    jws: '',
    createdAt: '2026-11-04T08:00:00.000Z',
    signedHow: 'by name',
    isCurrent: true,
    signed: JSON.stringify(text),
  } as const
  return signedBlocks(finding, (written) => written.replaceAll('.', ','))
}

const signed = (parts: Readonly<{ document: object; result: object; draft?: object }>) => ({
  kind: 'true-weight-signed-finding',
  claim: { id: 'c', caseId: 'k', draft: { ...draft, ...parts.draft } },
  ...{ document: parts.document, result: parts.result, signedBy: 'A. Officer', signedOn: '2026-11-03' },
})
const textsOf = (blocks: ReturnType<typeof blocksOf>) =>
  blocks.flatMap((block) => (block.is === 'paragraph' ? [block.text] : []))
const tableIn = (blocks: ReturnType<typeof blocksOf>) =>
  blocks.flatMap((block) => (block.is === 'table' ? [block] : []))[0]

test('a signed finding is told in its own words, with who signed it and the figures as they were', () => {
  const result = check(document)
  const blocks = blocksOf(signed({ document, result }))
  expect(blocks[0]).toEqual({ is: 'outcome', outcome: 'contradicted', words: 'Contradicted' })
  expect(textsOf(blocks)).toEqual([
    `Signed finding 2, by A. Officer on 2026-11-03 (on the trail at 2026-11-04 08:00:00 UTC), by name, with core ${CORE_VERSION}. Fingerprint abc.`,
    '“15 kg net” It stands in: label.',
    ...('finding' in result ? [result.finding.sentence, result.finding.limits] : []),
    'Remarks signed with it: seen',
  ])
  const { label, rows } = tableIn(blocks)!
  expect(label).toBe('Figures of signed finding 2')
  // In the report's language of numbers, to as many digits as are sure.
  expect(rows.find(([name]) => name === 'Test statistic t')).toEqual([
    'Test statistic t',
    '−3,41',
    '−3,409420154',
  ])
  expect(rows.find(([name]) => name === 'Mean')![1]).toMatch(/^14,93\s/)
})

test('decimals that are none are not taken', () => {
  const blocks = blocksOf(signed({ document, result: check(document), draft: { decimals: 'two' } }))
  expect(tableIn(blocks)!.rows.find(([name]) => name === 'Mean')![1]).toMatch(/^14,933\s/)
})

test('of another core whose figures are others the words are told', () => {
  const { finding } = check(document) as Readonly<{ finding: object }>
  const older = {
    ...{ ok: true, coreVersion: '0.1.0', finding: { ...finding, sentence: 'It fell short.' } },
    test: { method: 't', p: 0.01 },
  }
  const blocks = blocksOf(signed({ document, result: older }))
  expect(textsOf(blocks)).toContain('It fell short.')
  expect(tableIn(blocks)).toBeUndefined()
})

test('of a control its criteria are told, and of a text that is no finding that it is none', () => {
  const control = {
    content: { nominal: 500, unit: 'g', values: Array.from({ length: 50 }, (_, i) => 498 + (i % 7)) },
  }
  const blocks = blocksOf(signed({ document: control, result: answer(control) }))
  expect(tableIn(blocks)).toMatchObject({ label: 'Criteria of signed finding 2' })
  expect(tableIn(blocks)!.rows).toHaveLength(3)
  const none = blocksOf({ kind: 'true-weight-signed-finding' })
  expect(textsOf(none).at(-1)).toBe('The text that was signed is not one of a finding.')
})
