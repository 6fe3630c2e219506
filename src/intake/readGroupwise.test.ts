import { groups } from '@/answers/groups'
import { lots } from '@/answers/lots'
import { type ClaimDraft, EMPTY_CLAIM } from '@/desk/claimDraft'
import { columnNamed, EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import { readGroupwise } from './readGroupwise'
import { readLots } from './readLots'

const LOG: SampleDraft = {
  ...EMPTY_SAMPLE,
  readings: [
    'north\t46\tyes\ta',
    'north\t50\tno\ta',
    'north\t47\tyes\tb',
    'south\t49\tyes\tc',
    'south\t52\tno\td',
    '\t40\tyes\te',
    'east\t\tyes\tf',
  ].join('\n'),
  columns: [
    columnNamed('depot', 'category'),
    { ...columnNamed('hours', 'number'), unit: 'h' },
    columnNamed('signed', 'category'),
    columnNamed('van', 'category'),
  ],
  setAside: [{ row: 1, reason: 'twice', by: '' }],
}
const CLAIM: ClaimDraft = {
  ...EMPTY_CLAIM,
  claimedValue: '2',
  relation: 'at-most',
  unit: 'd',
  column: 'hours',
  groupsBy: 'depot',
  sampleId: 'log',
}

async function asked(change: Partial<ClaimDraft>, sample: SampleDraft = LOG) {
  const read = await readGroupwise({ ...CLAIM, ...change }, async () => ({ draft: sample }))
  return read.ok ? read.value.groups : read.problem.message
}

test('readings in the claim’s unit with the group of each, those set aside and those of no group too', async () => {
  expect(await asked({})).toMatchObject({
    claim: { parameter: 'mean', unit: 'd' },
    values: [46 / 24, 50 / 24, 47 / 24, 49 / 24, 52 / 24, 40 / 24],
    labels: ['north', 'north', 'north', 'south', 'south', ''],
    setAside: [1],
    adjust: 'holm',
  })
  expect(
    await asked({
      kept: [[{ column: 'depot', relation: 'is', value: 'south', upTo: '' }]],
      adjustment: 'benjamini-hochberg',
    }),
  ).toMatchObject({ labels: ['south', 'south'], adjust: 'benjamini-hochberg' })
})

test('rows that count, each 1 or 0', async () => {
  const counted = [[{ column: 'signed', relation: 'is' as const, value: 'yes', upTo: '' }]]
  const request = await asked({ parameter: 'proportion', claimedValue: '90 %', counted })
  expect(request).toMatchObject({
    values: [1, 0, 1, 1, 0, 1, 1],
    labels: ['north', 'north', 'north', 'south', 'south', '', 'east'],
    setAside: [1],
  })
  expect(groups({ groups: request }).ok).toBe(true)
})

test('clusters of the sample stay, beside the groups', async () => {
  const clustered = { ...LOG, groupedBy: 'clusters', groupColumn: 'van' } as const
  expect(await asked({}, clustered)).toMatchObject({
    cluster: ['a', 'a', 'b', 'c', 'd', 'e'],
    labels: ['north', 'north', 'north', 'south', 'south', ''],
  })
  expect(await asked({}, { ...clustered, groupColumn: 'depot' })).not.toHaveProperty('cluster')
})

test('a control of each group, with its tare', async () => {
  const packs = {
    ...LOG,
    setAside: [],
    readings: 'a\t15100\t90\nb\t15200\t95',
    columns: [
      columnNamed('line', 'category'),
      { ...columnNamed('gross', 'number'), unit: 'g' },
      { ...columnNamed('tare', 'number'), unit: 'g' },
    ],
  }
  const control = {
    control: 'net-content',
    claimedValue: '15',
    unit: 'kg',
    column: 'gross',
    tareBy: 'column',
    secondColumn: 'tare',
    groupsBy: 'line',
  } as const
  expect(await asked(control, packs)).toMatchObject({
    content: { nominal: 15, unit: 'kg', tare: [0.09, 0.095] },
    values: [15.1, 15.2],
    labels: ['a', 'b'],
  })
})

test.each([
  [{ claimedValue: '' }, {}, /State the claimed value/],
  [{ groupsBy: 'shop' }, {}, /“shop”/],
  [{ parameter: 'variance-ratio' as const, claimedValue: '1' }, {}, /two sources/],
  [{}, { groupedBy: 'strata' as const, groupColumn: 'depot', strataSizes: 'north = 9' }, /drawn by layers/],
  [{}, { kind: 'summary' as const, sampleSize: '20', mean: '47', spread: '2' }, /no rows to tell groups by/],
])('what can’t be held against groups says why: %j %j', async (change, sample, why) => {
  expect(await asked(change, { ...LOG, ...sample })).toMatch(why)
})

test('lots by name and day, each by its own sample, and those that have nothing yet', async () => {
  const lot = (more: Partial<SampleDraft>): SampleDraft => ({
    ...EMPTY_SAMPLE,
    columns: [{ ...columnNamed('mass', 'number'), unit: 'kg' }],
    ...more,
  })
  const samples: Readonly<Record<string, SampleDraft>> = {
    one: lot({ readings: '14.9\n15.1\n14.8', lot: 'L-1', drawnWhen: '24.02.2026', lotSize: '400' }),
    two: lot({
      readings: '14990\n15010',
      lot: 'L-1',
      columns: [{ ...columnNamed('mass', 'number'), unit: 'g' }],
    }),
    three: lot({
      kind: 'summary',
      sampleSize: '20',
      mean: '15.01',
      spread: '0.1',
      name: 'by the laboratory',
      drawnWhen: 'in spring',
    }),
    four: lot({ name: 'nothing yet' }),
    five: lot({ readings: '1\n2', isDiscarded: true }),
  }
  const draft = {
    ...EMPTY_CLAIM,
    claimedValue: '15',
    unit: 'kg',
    column: 'mass',
    sampleId: 'one',
    lots: ['two', 'three', 'four', 'five', 'gone'],
  }
  const read = await readLots(draft, async (id) => samples[id] && { draft: samples[id] }, { pool: false })
  if (!read.ok) throw new Error(read.problem.message)
  expect(read.value.document.lots.lots).toMatchObject([
    { label: 'L-1', day: '2026-02-24', evidence: { values: [14.9, 15.1, 14.8], lotSize: 400 } },
    { label: 'L-1 (2)', evidence: { values: [14.99, 15.01] } },
    { label: 'by the laboratory', evidence: { kind: 'summary', n: 20 } },
  ])
  expect(read.value.document.lots.lots[2]).not.toHaveProperty('day')
  expect(read.value.leftOut).toEqual([
    { label: 'nothing yet', why: expect.stringMatching(/at least two readings/) },
  ])
  expect(lots(read.value.document)).toMatchObject({ ok: true, lots: [{}, {}, {}] })
  const only = (sampleId: string) =>
    readLots({ ...draft, sampleId, lots: [] }, async (id) => samples[id] && { draft: samples[id] }, {
      pool: false,
    })
  const refused = (message: unknown) => ({ ok: false, problem: { code: 'not-complete', message } })
  expect(await only('four')).toMatchObject(refused(expect.stringMatching(/at least two readings/)))
  expect(await only('gone')).toMatchObject(refused('No lot has anything to test yet.'))
})
