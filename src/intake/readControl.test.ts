import type { ClaimDraft } from '@/desk/claimDraft'
import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { columnNamed, EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import { R87 } from '@/claims/terms/controlPlan'
import { readClaimAgainst } from './claimDocument'
import { askedOf } from './readDraft'

const CONTROL: ClaimDraft = {
  ...EMPTY_CLAIM,
  ...{ control: 'net-content', claimedValue: '15', unit: 'kg', quantity: 'a sack', sampleId: 'packs' },
}
const list = (readings: string, unit = 'kg'): SampleDraft => ({
  ...EMPTY_SAMPLE,
  readings,
  columns: [{ ...columnNamed('mass', 'number'), unit }],
})
const sheet = (readings: string): SampleDraft => ({
  ...EMPTY_SAMPLE,
  readings,
  columns: [
    { ...columnNamed('gross', 'number'), unit: 'g' },
    { ...columnNamed('tare', 'number'), unit: 'g' },
  ],
})

async function read(change: Partial<ClaimDraft>, packs: SampleDraft, empty?: SampleDraft) {
  const samples: Readonly<Record<string, SampleDraft | undefined>> = { packs, empty }
  const reading = await readClaimAgainst({ ...CONTROL, ...change }, async (id) => {
    const draft = samples[id]
    return draft && { draft }
  })
  if (!reading) throw new Error('no sample')
  const asked = askedOf(reading)
  const why = [...reading.missing, ...reading.problems].map(({ field, message }) => `${field}: ${message}`)
  return { content: asked && 'content' in asked ? asked.content : undefined, why }
}

test('readings that are contents, in the unit of the label', async () => {
  const packs = {
    ...list('14930\n15020\n14980', 'g'),
    lotSize: '300',
    drawnAtRandom: 'random' as const,
    setAside: [{ row: 1, reason: 'torn', by: '' }],
  }
  expect((await read({}, packs)).content).toMatchObject({
    nominal: 15,
    unit: 'kg',
    quantity: 'a sack',
    values: [14.93, 15.02, 14.98],
    setAside: [1],
    lotSize: 300,
    drawn: 'random',
  })
})

test('a tare that is stated, in a column, or of empty packs', async () => {
  expect((await read({ tareBy: 'stated', tare: '0.1' }, list('15.1\n15.2'))).content).toMatchObject({
    gross: [15.1, 15.2],
    tare: 0.1,
  })
  const byColumn = await read(
    { tareBy: 'column', column: 'gross', secondColumn: 'tare' },
    sheet('15100\t90\n15200\t95'),
  )
  expect(byColumn.content).toMatchObject({ gross: [15.1, 15.2], tare: [0.09, 0.095] })
  const empty = {
    ...list('80\n82\n84\n80\n82\n84\n80\n82\n84\n80\n999', 'g'),
    setAside: [{ row: 10, reason: 'full', by: '' }],
  }
  const byMean = await read({ tareBy: 'packs', secondSampleId: 'empty' }, list('15.1\n15.2'), empty)
  expect(byMean.content!.tare).toEqual({
    emptyPacks: [0.08, 0.082, 0.084, 0.08, 0.082, 0.084, 0.08, 0.082, 0.084, 0.08],
  })
})

test('rows that are kept are kept of the tare too, and a pack without a tare is told of', async () => {
  const rows = sheet('15100\t90\n15200\t95\n15300\t')
  const kept = [[{ column: 'gross', relation: 'below', value: '15250', upTo: '' } as const]]
  const by = { tareBy: 'column', column: 'gross', secondColumn: 'tare' } as const
  expect((await read({ ...by, kept }, rows)).content).toMatchObject({
    gross: [15.1, 15.2],
    tare: [0.09, 0.095],
  })
  expect((await read(by, rows)).why).toEqual([
    'secondColumn: A pack has no tare, in row 3. Enter it, or keep only the rows that have one.',
  ])
})

test('a volume by its density, weighed in the unit that goes with it', async () => {
  const found = await read({ claimedValue: '0.75', unit: 'l', density: '0.915' }, list('686.25\n690', 'g'))
  expect(found.content).toMatchObject({
    nominal: 0.75,
    unit: 'l',
    density: 0.915,
    massUnit: 'kg',
    values: [0.68625, 0.69],
  })
})

test('an own plan goes into the document whole, the shipped one by its name', async () => {
  expect((await read({}, list('15\n15.1'))).content).not.toHaveProperty('plan')
  const plan = { ...R87, name: 'own' }
  expect((await read({ controlPlan: plan }, list('15\n15.1'))).content).toMatchObject({ plan })
})

test.each([
  [{ claimedValue: '' }, 'claimedValue: State the net content'],
  [{ unit: '' }, 'unit: State its unit'],
  [{ unit: 'h' }, 'unit: “h” is no unit of mass or volume'],
  [{ unit: 'constructor' }, 'unit: “constructor” is no unit of mass or volume'],
  [{ unit: 'Mg' }, 'unit: “Mg” is no unit of mass or volume'],
  [{ unit: 'ML' }, 'unit: “ML” is no unit of mass or volume'],
  [{ claimedValue: '-1' }, 'claimedValue: '],
  [{ density: '1.2' }, 'density: The label states a mass, in kg'],
  [{ density: 'thick', unit: 'L' }, 'density: '],
  [{ tareBy: 'stated' as const }, 'tare: State the tare'],
  [{ tareBy: 'column' as const }, 'secondColumn: Say which column'],
  [{ tareBy: 'packs' as const }, 'secondSampleId: Say which sample holds the empty packs'],
  [{ unit: 'mL' }, 'columns: The readings are in kg, mass, and the claim in mL, volume'],
])('what is missing or wrong is said: %j', async (change, why) => {
  const found = await read(change, list('15\n15.1'))
  expect(found.content).toBeUndefined()
  expect(found.why.join('\n')).toContain(why)
})

test('evidence that is no packs one by one', async () => {
  expect(
    (
      await read({}, { ...EMPTY_SAMPLE, kind: 'summary', sampleSize: '50', mean: '15', spread: '0.1' })
    ).why.join(),
  ).toMatch(/kind: A control of net content looks at each pack/)
  const layers = {
    ...sheet('1\t1\n2\t1\n3\t2\n4\t2'),
    groupedBy: 'strata' as const,
    groupColumn: 'tare',
    strataSizes: '1 = 10\n2 = 10',
  }
  expect((await read({ column: 'gross' }, layers)).why.join()).toMatch(/drawn by layers/)
  const clusters = {
    ...sheet('15000\t1\n15100\t1\n15200\t2\n15300\t2'),
    groupedBy: 'clusters' as const,
    groupColumn: 'tare',
  }
  expect((await read({ column: 'gross' }, clusters)).content).toMatchObject({
    independence: 'not-independent',
  })
})

test('what converting makes up shortens no pack: 1.001 kg is 1001 g, and not a hair less', async () => {
  const inGrams = { claimedValue: '1016', unit: 'g' }
  expect(1.001 * 1000).toBeLessThan(1001)
  expect((await read(inGrams, list('1.001\n1.016'))).content?.values).toEqual([1001, 1016])
  const both = list('1.001\n1.016')
  const gross = await read(
    { ...inGrams, tareBy: 'packs', secondSampleId: 'empty' },
    both,
    list('0.0552\n'.repeat(10)),
  )
  expect(gross.why).toEqual([])
  expect(gross.content).toMatchObject({ gross: [1001, 1016], tare: { emptyPacks: Array(10).fill(55.2) } })
  const packed = {
    ...EMPTY_SAMPLE,
    readings: '1.001\t0.0552\n1.016\t0.0552',
    columns: ['gross', 'tare'].map((name) => ({ ...columnNamed(name, 'number'), unit: 'kg' })),
  }
  const own = await read({ ...inGrams, column: 'gross', tareBy: 'column', secondColumn: 'tare' }, packed)
  expect(own.content).toMatchObject({ gross: [1001, 1016], tare: [55.2, 55.2] })
})
