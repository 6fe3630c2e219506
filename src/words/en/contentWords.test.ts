import { content } from '@/answers/content'
import type { ContentDocument } from '@/claims/terms/contentRequest'
import { R87 } from '@/claims/terms/controlPlan'
import { criterionLines, operatingRows, planWords, toPassWords } from './contentWords'
import { packsLine } from './packsLineWords'

const plain = (text: string) => text.replaceAll('\u202f', ' ').replaceAll('\u2212', '-')

function controlled(asked: ContentDocument['content']) {
  const answered = content({ content: asked })
  if (!answered.ok) throw new Error(answered.error.message)
  return answered
}
const LABEL = { nominal: 15, unit: 'kg', quantity: 'a sack' } as const
/** Fifty packs about the label, and those that are given in place of the first. */
const around = (...first: readonly number[]) => [
  ...first,
  ...Array.from({ length: 50 - first.length }, (_, at) => Number((15 + ((at % 9) - 4) * 0.01).toFixed(2))),
]

test('the finding names what decides it first, and what is met beside it', () => {
  const { finding } = controlled({ ...LABEL, lotSize: 300, values: around(14.6, 14.8) })
  expect(plain(finding.sentence)).toBe(
    'By the control plan “average system (OIML R 87)” the sample of 50 packs contradicts that the net content of a sack is 15 kg: 1 of 50 packs is short by more than 0.3 kg, where none may be. The other criteria: the average meets it (mean error -0.0138 kg, allowance f·s 0.0256 kg, together 0.0118 kg, not below 0); 2 of 50 packs are short by more than 0.15 kg, where at most 3 may be.',
  )
  expect(finding.limits).toContain('can’t be stated')
})

test('a lot that passes is not shown to hold what its label says', () => {
  const { finding, warnings } = controlled({ ...LABEL, lotSize: 300, values: around() })
  expect(plain(finding.sentence)).toContain(
    'does not contradict that the net content of a sack is 15 kg: the average meets it',
  )
  expect(finding.limits).toContain('does not show that the lot holds what its label says')
  for (const forbidden of [/\bprove/i, /\baccept/i, /complies/i, /\bguilty/i])
    expect(`${finding.sentence} ${finding.limits}`).not.toMatch(forbidden)
  expect(warnings.map(({ code }) => code)).toEqual(['plan-from-memory'])
})

test('the risk of the average is stated only where the conditions bear it', () => {
  const short = around().map((value) => value - 0.1)
  const open = controlled({ ...LABEL, lotSize: 3000, values: short })
  expect(open.finding.limits).toMatch(
    /can’t be stated, since conditions that it rests on are open: Random sample/,
  )
  const random = { drawn: 'random', independence: 'independent' } as const
  const shuffled = short.toSorted((a, b) => Math.sin(a * 9999) - Math.sin(b * 9999))
  const stated = controlled({ ...LABEL, ...random, lotSize: 3000, values: shuffled })
  const isOpen = stated.conditions.some(({ state }) => ['doubtful', 'not-met', 'unknown'].includes(state))
  expect(stated.finding.limits.includes('0.5')).toBe(!isOpen)
})

test('whether the sum lies below 0 is seen, however little', () => {
  const { content: found } = controlled({ ...LABEL, values: [14.9, 15.1, 14.999, 15.0009, 14.9999, 15] })
  const shown = plain(
    criterionLines({ ...found, average: { ...found.average, sum: -0.0000012, met: false } })[0]!.seen,
  )
  expect(shown).toContain('together -0.000001 kg')
})

test('what it takes to pass is rounded up', () => {
  const { content: found } = controlled({ ...LABEL, values: around(14.6) })
  expect(plain(toPassWords(found))).toContain('had every pack held 0.1000 kg more')
  expect(plain(toPassWords({ ...found, toPass: { raise: 0.10001 } }))).toContain('0.1001 kg more')
  expect(toPassWords({ ...found, toPass: { raise: 0 } })).toBe('')
})

test('packs are named up to twelve, and counted beyond', () => {
  const { content: found } = controlled({ ...LABEL, values: around(...new Array<number>(14).fill(14.8)) })
  const [, few] = criterionLines(found, (index) => `row ${index + 2}`)
  expect(few!.seen).toMatch(
    /^14 of 50: row 2, row 3,.* row 13 and 2 more, p = 0\.000|^14 of 50: row 2.*and 2 more, p/,
  )
  expect(few!.state).toBe('not-met')
})

test('another number of packs than the plan’s is told of, with the rule and where that is stricter', () => {
  const values = new Array<number>(125).fill(15)
  const said = (lotSize?: number) =>
    controlled({ ...LABEL, values, ...(lotSize ? { lotSize } : {}) }).warnings.find(
      ({ code }) => code === 'not-the-plans-n',
    )?.message
  expect(said(5000)).toBeUndefined()
  expect(plain(said(300)!)).toContain('asks for 50 packs of a lot of 300, and 125 were judged')
  expect(said(300)).toContain('allows 7')
  expect(said()).toContain('size of the lot is not stated')
  expect(plain(controlled({ ...LABEL, values: [15, 15.1], lotSize: 40 }).warnings[1]!.message)).toContain(
    'knows no lot of 40 packs',
  )
})

test('an own plan is not said to be from memory', () => {
  const plan = { ...R87, name: 'office rule', source: 'order 12', isFromMemory: false }
  expect(controlled({ ...LABEL, lotSize: 300, values: around(), plan }).warnings).toEqual([])
  expect(planWords(plan)).toContain('By the plan “office rule” (order 12): of a lot of 100 to 500, 50 packs')
})

test('the picture has each judged pack, and marks those that the criteria count', () => {
  const asked = { ...LABEL, values: around(14.6, 14.8, 9), setAside: [2] }
  const line = packsLine({ content: asked }, controlled(asked))!
  expect(line.errors).toHaveLength(49)
  expect(line.errors.slice(0, 2)).toEqual([-0.4, -0.2])
  expect(line.shorts.slice(0, 3)).toEqual([2, 1, 0])
  expect(line.indexes.slice(0, 3)).toEqual([0, 1, 3])
  expect(plain(line.description)).toContain('2 lie below -T, 1 of them below -2T')
})

test('how often lots pass, in percent', () => {
  const { content: found } = controlled({ ...LABEL, values: around(), operating: { samples: 1000 } })
  const [first] = operatingRows(found)
  expect(first!.map(plain)).toEqual([
    expect.stringMatching(/^0\.0+ kg$/),
    '99.5 %',
    expect.stringMatching(/ %$/),
    expect.stringMatching(/^0\.\d %$/),
  ])
})
