import { check } from '@/answers/check'
import { columnNamed, type SampleDraft } from '@/desk/sampleDraft'
import { draft, grams, readDraft, sample, share } from '@tests/draftExample'

const taken = (change: Partial<SampleDraft>) => readDraft(draft, { ...sample, ...change })

test('readings in another unit are converted, units of different kinds refused', () => {
  const weighed = { ...sample, readings: '14930 15020', columns: [grams] }
  expect(readDraft(draft, weighed).document?.evidence).toEqual({
    ...{ kind: 'readings', values: [14.93, 15.02] },
    entries: [{ converted: '1000 g = 1 kg' }],
  })
  const { document, problems } = readDraft({ ...draft, unit: 'l' }, weighed)
  expect(document).toBeUndefined()
  expect(problems[0]?.message).toContain('in g, mass, and the claim in l, volume')
})

test('a reading that is set aside stays in the sample and out of the test', () => {
  const setAside = [{ row: 1, reason: 'the scale was knocked', by: 'A. Officer' }]
  const { document } = readDraft(draft, { ...sample, readings: '14.90 14.93 15.02 14.88', setAside })
  expect(document?.evidence).toEqual({
    ...{ kind: 'readings', values: [14.9, 14.93, 15.02, 14.88] },
    setAside: [1],
  })
})

test('rows are kept by conditions on the other columns of a typed sheet', () => {
  const columns = [columnNamed('line', 'category'), columnNamed('mass', 'number')]
  const typed = { ...sample, columns, readings: 'A\t14.93\nB\t15.02\nA\t14.88\n' }
  const kept = [[{ column: 'line', relation: 'is', value: 'A', upTo: '' }]] as const
  const { document } = readDraft({ ...draft, column: 'mass', kept: kept.map((list) => [...list]) }, typed)
  expect(document?.evidence).toEqual({ kind: 'readings', values: [14.93, 14.88] })
})

test('a column that is gone is told of, and no other is tested in its place', () => {
  const columns = [columnNamed('gross', 'number'), columnNamed('net', 'number')]
  const typed = { ...sample, columns, readings: '15.1\t14.93\n15.2\t15.02\n' }
  const values = (column: string, held: SampleDraft = typed) => readDraft({ ...draft, column }, held)
  expect(values('net').document?.evidence).toMatchObject({ values: [14.93, 15.02] })
  const renamed = values('net', { ...typed, columns: [columns[0]!, { ...columns[1]!, name: 'mass' }] })
  expect(renamed.document).toBeUndefined()
  expect(renamed.problems[0]?.message).toContain('There is no column “net”. There are: gross, mass.')
})

test('what a person said of the sample goes with the evidence; what nobody said does not', () => {
  const said = { drawnAtRandom: 'random', takenIndependently: 'not-independent' } as const
  expect(readDraft(draft, { ...sample, ...said }).document?.evidence).toMatchObject({
    drawn: 'random',
    independence: 'not-independent',
  })
  expect(readDraft(draft).document?.evidence).not.toHaveProperty('independence')
})

const SMUDGED = '14.93\n1,021.2\n15.02\nabout 15\n14.88'

test('while an entry is not read nothing is computed, and it is named', () => {
  const { document, problems } = taken({ readings: SMUDGED })
  expect(document).toBeUndefined()
  expect(problems).toEqual([
    {
      field: 'readings',
      message:
        '2 entries are not read: “1,021.2” in row 2, “about 15” in row 4. Say how to read them, correct them, or set them aside.',
    },
  ])
})

test('what is set aside because it is not read is counted, with what it could be', () => {
  const setAside = [1, 3].map((row) => ({ row, reason: 'smudged', by: 'A. Officer' }))
  const { document } = taken({ readings: SMUDGED, setAside })
  expect(document?.evidence).toEqual({
    kind: 'readings',
    values: [14.93, 15.02, 14.88],
    entries: [{ unreadable: { count: 2, texts: ['1,021.2', 'about 15'], couldBe: [1021.2] } }],
  })
  const answer = check(document)
  expect(answer.ok && answer.finding.basis).toBe(
    '2 entries could not be read and are set aside: “1,021.2”, “about 15”.',
  )
})

test('how entries were read is told, and the name of the column', () => {
  const readAs = [{ rule: 'thousands' as const, text: ',' }]
  const columns = [{ ...columnNamed('readings', 'number'), readAs }]
  const { document } = taken({ readings: 'Net mass\n998.5\n1,021.2\n1,015.5', columns })
  expect(document?.evidence).toEqual({
    kind: 'readings',
    values: [998.5, 1021.2, 1015.5],
    entries: [{ header: 'Net mass', readAs: { rules: readAs, count: 2, example: '1,021.2', value: 1021.2 } }],
  })
})

test('a column of texts is read as numbers where there are such, and asked about where not', () => {
  const columns = [columnNamed('line', 'category'), columnNamed('mass', 'category')]
  const held = { ...sample, columns, readings: 'A\t12.5 g\nB\t12.7 g\nC\t' }
  const of = (column: string, change: Partial<SampleDraft> = {}) =>
    readDraft({ ...draft, column, unit: 'g' }, { ...held, ...change })
  expect(of('mass').problems[0]?.message).toContain('2 entries are not read: “12.5 g” in row 1')
  const readAs = [{ rule: 'unit' as const, text: 'g' }]
  expect(of('mass', { columns: [columns[0]!, { ...columns[1]!, readAs }] }).document?.evidence).toEqual({
    kind: 'readings',
    values: [12.5, 12.7],
    entries: [{ blank: 1, readAs: { rules: readAs, count: 2, example: '12.5 g', value: 12.5 } }],
  })
  expect(of('line').problems[0]?.message).toContain('Name a column of numbers.')
  expect(of('').missing).toEqual([
    { field: 'column', message: 'Say which column of the sample holds the readings.' },
  ])
})

test('a text is neither above nor below a number: it is asked about where rows are counted by it', () => {
  const columns = [columnNamed('mass', 'category'), columnNamed('line', 'category')]
  const counted = [[{ column: 'mass', relation: 'at-least' as const, value: '15', upTo: '' }]]
  const claim = { ...share, claimedValue: '0.5', counted }
  const of = (readings: string, change: Partial<SampleDraft> = {}) =>
    readDraft(claim, { ...sample, columns, readings, ...change })
  expect(of('14.9\tA\nabout 15\tB\n15.1\tC').problems[0]?.message).toContain('“about 15” in row 2')
  const setAside = [{ row: 1, reason: 'smudged', by: '' }]
  expect(of('14.9\tA\nabout 15\tB\n15.1\tC', { setAside }).document?.evidence).toEqual({
    ...{ kind: 'count', n: 2, successes: 1 },
    entries: [{ unreadable: { count: 1, texts: ['about 15'] } }],
  })
  expect(of('heavy\tA\nlight\tB').problems[0]?.message).toContain('Only numbers and dates lie above')
})

test('what is set aside in a column that rows are kept by is no blank reading', () => {
  const columns = [columnNamed('depot', 'number'), columnNamed('mass', 'number')]
  const kept = [[{ column: 'depot', relation: 'above' as const, value: '6', upTo: '' }]]
  const readings = '7\t14.9\nseven\t15.0\n8\t\n7\t15.1'
  const of = (change: Partial<SampleDraft>) =>
    readDraft({ ...draft, column: 'mass', kept }, { ...sample, columns, readings, ...change })
  expect(of({}).problems[0]?.message).toContain('1 entry is not read: “seven” in row 2')
  const setAside = [{ row: 1, reason: 'written out', by: '' }]
  expect(of({ setAside }).document?.evidence).toEqual({
    kind: 'readings',
    values: [14.9, 15.1],
    entries: [{ unreadable: { count: 1, texts: ['seven'] }, blank: 1 }],
  })
})

test('what is said of a column is told also where rows are kept by the same column', () => {
  const columns = [columnNamed('line', 'category'), columnNamed('mass', 'category')]
  const readAs = [{ rule: 'unit' as const, text: 'g' }]
  const held = {
    ...sample,
    columns: [columns[0]!, { ...columns[1]!, readAs }],
    readings: 'A\t12.5 g\nB\t12.7 g',
  }
  const kept = [[{ column: 'mass', relation: 'above' as const, value: '12', upTo: '' }]]
  expect(readDraft({ ...draft, column: 'mass', unit: 'g', kept }, held).document?.evidence).toEqual({
    kind: 'readings',
    values: [12.5, 12.7],
    entries: [{ readAs: { rules: readAs, count: 2, example: '12.5 g', value: 12.5 } }],
  })
})

test('what could be read in two ways is not told to be either', () => {
  const setAside = [{ row: 0, reason: 'smudged', by: '' }]
  const { document } = taken({ readings: '1,234\n15.02\n14.88', setAside })
  expect(document?.evidence.entries).toEqual([{ unreadable: { count: 1, texts: ['1,234'] } }])
})
