import { testedBy } from '@tests/reference/answers'
import { DELIVERIES, exampleCase, SACKS, UNFINISHED } from '@tests/exampleCase'
import { optionsIn, PARTS, USUAL_OPTIONS } from '@/desk/reportOptions'
import { formatSure } from '@/words/figures'
import { columnNamed } from '@/desk/sampleDraft'
import { R87 } from '@/claims/terms/controlPlan'
import { partHtml } from './html'
import { markdownOf } from './markdown'
import { reportOf } from './report'

const content = exampleCase([SACKS, DELIVERIES, UNFINISHED])
const textOf = async (options: Partial<typeof USUAL_OPTIONS> = {}) =>
  markdownOf(await reportOf(content, { ...USUAL_OPTIONS, ...options }))

test('a report says everything that a finding rests on', async () => {
  const text = await textOf()
  const values = [14.93, 15.02, 14.88, 15.11, 14.79, 14.97, 15.03, 14.9, 14.95, 15, 14.7]
  const claim = { parameter: 'mean', relation: 'at-least', value: 15 } as const
  const result = testedBy({ claim, evidence: { kind: 'readings', values } })
  for (const words of [
    '# WH-099 Pellet sacks',
    'Somebody & Sons',
    '“15 kg net, since 1.1.2026” It stands in: label.',
    '| Null hypothesis H₀ | μ ≥ 15',
    'left-tailed',
    'the claim stands unless contradicted',
    'bench scale 3',
    'the sack was torn | B. Weigher',
    'Without what is set aside',
    'With everything',
    'Normality',
    'Sampling distribution of t',
    'Critical value of t',
    'Would the finding stand if',
    'Weighed twice.\\\nThe scale was warm.',
    'Student (1908)',
    'This finding is not signed.',
    formatSure(String(result.test.pValue)),
    content.head.hash,
  ])
    expect(text).toContain(words)
  expect(text).toContain('“95 of 100 arrive in time” Where it stands is not stated.')
  expect(text).toContain('There is no finding yet:')
  expect(text).toContain('State the claimed value.')
})

test('every claim has its own number, in the order of the case', async () => {
  const numbers = [...(await textOf()).matchAll(/^#+ Claim (\d+): /gm)].map(([, number]) => number)
  expect(numbers).toEqual(['1', '2', '3'])
})

test('several tested claims are adjusted for being several', async () => {
  expect(await textOf()).toMatch(/2 claims were tested.*Holm/)
  const alone = markdownOf(await reportOf(exampleCase([SACKS, UNFINISHED]), USUAL_OPTIONS))
  expect(alone).not.toContain('Holm’s adjustment')
})

test('parts that are not chosen are left out, the findings never', async () => {
  const text = await textOf({ parts: [] })
  expect(text).toContain('Contradicted')
  expect(text).toContain('the sack was torn')
  for (const left of [
    'Summary of findings',
    'Hypotheses',
    'Cross-examination',
    'Appendix',
    'Methods and sources',
  ])
    expect(text).not.toContain(left)
  // No claim of the example is held against groups.
  for (const part of PARTS.filter((one) => one !== 'groups'))
    expect((await textOf({ parts: [part] })).length).toBeGreaterThan(text.length)
})

test('decimals and the language of numbers are those that were chosen', async () => {
  const text = await textOf({ decimals: 1, language: 'comma' })
  expect(text).toContain('95\u202f% interval 14,9 to 15,0')
  expect(text).toContain('“15 kg net, since 1.1.2026”')
  expect(text).toContain('2\u202f000')
  expect(text).not.toMatch(/14\.9/)
})

test('a plan, a batch and their numbers stay what people call them, in either language', async () => {
  const readings = Array.from(
    { length: 24 },
    (_, at) => `${(15.002 + (at % 5) / 100).toFixed(3)}\t${20260224 + (at % 2)}`,
  )
  const sheet = exampleCase([
    {
      sample: {
        readings: readings.join('\n'),
        columns: [{ ...columnNamed('net', 'number'), unit: 'kg' }, columnNamed('batch', 'category')],
      },
      claim: {
        ...{ control: 'net-content', claimedValue: '15', unit: 'kg', column: 'net', groupsBy: 'batch' },
        controlPlan: { ...R87, name: 'Order 1234 of 2004', source: 'Order 1234.5, part 2004' },
      },
    },
  ])
  for (const language of ['point', 'comma'] as const) {
    const text = markdownOf(await reportOf(sheet, { ...USUAL_OPTIONS, language }))
    expect(text).toContain('Order 1234 of 2004')
    expect(text).toContain('Order 1234.5, part 2004')
    expect(text).toContain('| 20260224 | 12 |')
    expect(text).toContain(language === 'point' ? '15.02' : '15,02')
    expect(text).toContain('Each group is judged as a lot of its own')
    expect(text).not.toMatch(/20.260.22|1.234/)
  }
})

test('what is set aside is in no picture of what was tested', async () => {
  expect(await textOf()).toContain('Claim line: 11 readings from 14.7\u202fkg to 15.11\u202fkg. Mean')
})

test('the readings stand in bins, as wide as the claim has them', async () => {
  expect(await textOf()).toContain('Histogram: 11 readings from 14.700\u202fkg to 15.110\u202fkg')
  expect(await textOf()).toMatch(/in \d bins of 0\.108\u202fkg\./)
  const wide = { ...SACKS, claim: { ...SACKS.claim, binWidth: 0.5 } }
  const text = markdownOf(await reportOf(exampleCase([wide]), USUAL_OPTIONS))
  expect(text).toContain('in 2 bins of 0.500\u202fkg.')
  const counts = markdownOf(await reportOf(exampleCase([DELIVERIES]), USUAL_OPTIONS))
  expect(counts).not.toContain('Histogram')
})

test('the same case gives the same report', async () => {
  expect(await textOf()).toBe(await textOf())
})

test('hostile words stay words', async () => {
  const script = '<script>alert("x")</script><img src=x onerror=alert(1)>|*_[a](javascript:1)`'
  const hostile = exampleCase(
    [
      {
        sample: {
          ...SACKS.sample,
          name: script,
          instrument: script,
          setAside: [{ row: 11, reason: script, by: script }],
        },
        claim: {
          ...SACKS.claim,
          wording: script,
          quantity: script,
          unit: 'kg"><b>',
          remarks: script,
          source: script,
        },
      },
    ],
    script,
  )
  const report = await reportOf(hostile, USUAL_OPTIONS)
  const html = report.parts.map(partHtml).join('')
  for (const tag of ['script', 'img', 'b']) expect(tagsIn(html)).not.toContain(tag)
  const text = markdownOf(report)
  expect(text).not.toContain('<script')
  expect(text).not.toMatch(/(?<!\\)\[a\]/)
})

/** The tags that a browser would find: every "<" that a name follows. */
function tagsIn(html: string): readonly string[] {
  return [...html.matchAll(/<([a-z][a-z0-9]*)/gi)].map(([, name]) => name!.toLowerCase())
}

describe('what a test report states', () => {
  const stated = {
    ...content,
    case: {
      ...content.case,
      office: 'Skerrow Fair Measures Office\nHarbour Street 1',
      occasion: 'Complaint 12',
    },
    samples: content.samples.map((sample) => ({
      ...sample,
      draft: { ...sample.draft, receivedOn: '2026-01-15', environment: '20 °C', fromOthers: '' },
    })),
  }
  const written = async (of: typeof content, options: Partial<typeof USUAL_OPTIONS> = {}) =>
    markdownOf(await reportOf(of, { ...USUAL_OPTIONS, ...options }))

  test('stands on the cover and with the sample, and what is not stated is left out', async () => {
    const text = await written(stated)
    expect(text).toMatch(/\| Office +\| Skerrow Fair Measures Office.*Harbour Street 1/)
    expect(text).toMatch(/\| Customer or occasion +\| Complaint 12/)
    expect(text).toMatch(/\| Received on +\| 2026-01-15/)
    expect(text).toMatch(/\| Environment +\| 20 °C/)
    expect(text).not.toContain('Authorised by')
    expect(text).not.toContain('Results of others')
    expect(text).not.toContain('not stated |')
  })

  test('what is not stated is said to be not stated where that is wanted', async () => {
    const text = await written(stated, { unstated: 'named' })
    expect(text).toMatch(/\| Authorised by +\| not stated/)
    expect(text).toMatch(/\| Results of others +\| not stated/)
    expect(text).toMatch(/\| Received on +\| 2026-01-15/)
    // A case that is open was not closed: nothing about that is left to state.
    expect(text).not.toMatch(/\| Closed +\|/)
  })

  test('a report ends with how far it reaches and its number, whatever parts are chosen', async () => {
    const text = await written(content, { parts: [] })
    const number = `WH-099-${content.head.hash.slice(0, 8).toUpperCase()}`
    expect(text).toContain(`End of report ${number}.\n\nMade with True Weight from the case as of`)
    expect(text).toContain('relate only to the items that were sampled and tested')
  })

  test('what is left out of it is named', async () => {
    expect(await written(content)).not.toContain('Left out of this report')
    expect(await written(content, { parts: PARTS.filter((part) => part !== 'working') })).toContain(
      'Left out of this report: working, as an appendix. They can be made from the case file.',
    )
  })

  test('one of many claims has every finding, and what they rest on when it is asked for', async () => {
    const many = exampleCase(Array.from({ length: 13 }, () => SACKS))
    const text = markdownOf(await reportOf(many, optionsIn({})))
    expect(text.match(/^## Claim \d+: /gm)).toHaveLength(13)
    expect(text).toContain('## Summary of findings')
    expect(text).not.toContain('### Hypotheses')
    expect(text).toContain('Left out of this report: hypotheses; sample and its origin; ')
    expect(await written(many, { parts: ['hypotheses'] })).toContain('### Hypotheses')
  })
})

test.each([
  ['open', 'open, so that this is a preliminary report'],
  ['closed', 'closed'],
] as const)('the report of a case that is %s says so', async (state, words) => {
  const one = { ...content, case: { ...content.case, state } }
  const text = markdownOf(await reportOf(one, { ...USUAL_OPTIONS, parts: ['cover'] }))
  expect(text).toContain(`| State of the case | ${words} |`)
})
