import { testedBy } from '@tests/reference/answers'
import fc from 'fast-check'
import { SaxesParser } from 'saxes'
import type { CheckDocument } from '@/claims/terms/request'
import { OUTCOMES } from '@/claims/finding'
import { binWidth, histogram } from '@/statistics/describe/bins'
import { samplingPicture } from '@/pictures/samplingPicture'
import { axisOf, tickWords, ticksOf } from './axis'
import { balance } from './balance'
import { claimLine, type ClaimLineDrawing } from './claimLine'
import { BRASS, type Drawing, type Point, type Shape } from './drawing'
import { histogramDrawing } from './histogram'
import { samplingDrawing } from './sampling'
import { svgOf } from './svg'

const plain = (text: string) => text
const figures: ClaimLineDrawing = {
  values: [14.9, 14.9, 15.1],
  estimate: 14.97,
  lower: 14.8,
  upper: 15.05,
  claimed: [{ value: 15, words: 'claimed 15 kg' }],
  boundWords: '',
  interval: '95 % interval 14.80 to 15.05',
  unit: 'kg',
}

const flat = (shapes: readonly Shape[]): readonly Shape[] =>
  shapes.flatMap((shape) => (shape.is === 'clipped' ? [shape, ...flat(shape.shapes)] : [shape]))
const circles = ({ shapes }: Drawing) => shapes.filter((shape) => shape.is === 'circle')
const texts = ({ shapes }: Drawing) =>
  flat(shapes).flatMap((shape) => (shape.is === 'text' ? [shape.text] : []))
/** Every place that is drawn, but for what is cut off by an outline. */
const places = ({ shapes }: Drawing): readonly Point[] =>
  shapes.flatMap((shape) => {
    if (shape.is === 'line') return shape.points
    if (shape.is === 'clipped') return shape.outline
    return [shape.at]
  })

function expectInside(drawing: Drawing) {
  for (const [x, y] of places(drawing)) {
    expect(x).toBeGreaterThanOrEqual(-0.01)
    expect(x).toBeLessThanOrEqual(drawing.width + 0.01)
    expect(y).toBeGreaterThanOrEqual(-0.01)
    expect(y).toBeLessThanOrEqual(drawing.height + 0.01)
  }
}

test.each([
  [0, 1, ['0.0', '0.2', '0.4', '0.6', '0.8', '1.0']],
  [14.47, 15.11, ['14.5', '14.6', '14.7', '14.8', '14.9', '15.0', '15.1']],
  [-3, 3, ['−3', '−2', '−1', '0', '1', '2', '3']],
  [1200, 1900, ['1200', '1300', '1400', '1500', '1600', '1700', '1800', '1900']],
])('the ticks from %d to %d are round', (min, max, expected) => {
  const ticks = ticksOf({ min, max })
  expect(ticks.map(tickWords(ticks))).toEqual(expected)
})

test('ticks are few, rise evenly and lie between the ends, whatever the ends', () => {
  const end = fc.double({ noNaN: true, min: -1e6, max: 1e6 })
  fc.assert(
    fc.property(end, fc.double({ noNaN: true, min: 1e-3, max: 1e6 }), (min, width) => {
      const ticks = ticksOf({ min, max: min + width })
      expect(ticks.length).toBeLessThanOrEqual(8)
      for (const tick of ticks) {
        expect(tick).toBeGreaterThanOrEqual(min - width * 1e-6)
        expect(tick).toBeLessThanOrEqual(min + width * (1 + 1e-6))
      }
    }),
  )
})

describe('the claim line', () => {
  test('has every reading at its own place, equal ones above each other', () => {
    const { drawing, each } = claimLine(figures, plain)
    const at = circles(drawing).map(({ at: place }) => place)
    expect(each).toBe(1)
    expect(at).toHaveLength(3)
    expect(at[0]![0]).toBe(at[1]![0])
    expect(at[0]![1]).not.toBe(at[1]![1])
    const axis = axisOf({ min: 14.8 - 0.015, max: 15.1 + 0.015 }, 10, 470)
    expect(at[2]![0]).toBeCloseTo(axis.x(15.1), 6)
    const claimed = drawing.shapes.find((shape) => shape.is === 'line' && shape.stroke?.colour === BRASS)
    expect(claimed?.is === 'line' && claimed.points[0]![0]).toBeCloseTo(axis.x(15), 6)
  })

  test('says what it shows, in the report’s way of writing numbers', () => {
    const { drawing } = claimLine(figures, (text) => text.replaceAll('.', ','))
    expect(texts(drawing)).toEqual(expect.arrayContaining(['claimed 15 kg', '95 % interval 14,80 to 15,05']))
    expect(texts(drawing).at(-1)).toBe('15,10\u202fkg')
  })

  test('of many readings lets a circle stand for several, and says for how many', () => {
    const values = Array.from({ length: 20_000 }, (_, at) => Math.sin(at))
    const { drawing, each } = claimLine({ ...figures, values, claimed: [] }, plain)
    expect(each).toBeGreaterThan(1)
    expect(circles(drawing).length * each).toBeGreaterThanOrEqual(20_000)
    expect(drawing.height).toBeLessThan(260)
  })

  test('stays in its frame, whatever is drawn', () => {
    const value = fc.double({ noNaN: true, min: -1e9, max: 1e9 })
    const some = fc.record({
      values: fc.array(value, { maxLength: 40 }),
      estimate: value,
      lower: fc.option(value, { nil: undefined }),
      upper: fc.option(value, { nil: undefined }),
      claimed: fc.array(fc.record({ value, words: fc.constant('claimed 15') }), {
        minLength: 1,
        maxLength: 2,
      }),
    })
    fc.assert(fc.property(some, (drawn) => expectInside(claimLine({ ...figures, ...drawn }, plain).drawing)))
  })
})

describe('the histogram', () => {
  const drawn = {
    bins: [
      { from: 14, to: 14.5, count: 3 },
      { from: 14.5, to: 15, count: 0 },
      { from: 15, to: 15.5, count: 6 },
    ],
    claimed: [
      { value: 14.75, words: 'claimed 14.75 kg' },
      { value: 99, words: 'far away' },
    ],
    unit: 'kg',
  }
  const bars = ({ shapes }: Drawing) =>
    shapes.flatMap((shape) => (shape.is === 'line' && shape.closed && shape.opacity ? [shape.points] : []))

  test('has a bar as wide as each bin and as high as its count, and none where nothing is', () => {
    const [low, high, ...more] = bars(histogramDrawing(drawn, plain))
    expect(more).toEqual([])
    const size = ([a, b, c]: readonly Point[]) => [c![0] - a![0], a![1] - b![1]] as const
    const [[width, height], [same, twice]] = [size(low!), size(high!)]
    expect(same).toBeCloseTo(width, 9)
    expect(twice).toBeCloseTo(2 * height, 9)
    expect(high![0]![0] - low![0]![0]).toBeCloseTo(2 * width, 9)
  })

  test('says counts, the unit and what is claimed where that lies among the readings', () => {
    const drawing = histogramDrawing(drawn, (text) => text.replaceAll('.', ','))
    expect(texts(drawing)).toEqual(expect.arrayContaining(['0', '2', '4', '6', 'claimed 14,75 kg']))
    expect(texts(drawing)).not.toContain('far away')
    expect(texts(drawing).at(-1)).toBe('15,5\u202fkg')
    const [low] = bars(drawing)
    const line = drawing.shapes.find((shape) => shape.is === 'line' && shape.stroke?.colour === BRASS)
    const [left, right] = [low![0]![0], low![2]![0]]
    expect(line?.is === 'line' && line.points[0]![0]).toBeCloseTo(right + (right - left) / 2, 9)
  })

  test('stays in its frame, whatever is drawn', () => {
    const value = fc.double({ noNaN: true, min: -1e6, max: 1e6 })
    fc.assert(
      fc.property(fc.array(value, { minLength: 1, maxLength: 40 }), value, (values, limit) => {
        const sorted = Float64Array.from(values).sort()
        const bins = histogram(sorted, binWidth(sorted))
        expectInside(histogramDrawing({ ...drawn, bins, claimed: [{ value: limit, words: 'limit' }] }, plain))
      }),
      { examples: [[[-5e-324, 5e-324], 0]] },
    )
  })
})

const claim = { parameter: 'mean', relation: 'at-least', value: 15 } as const
const values = [14.93, 15.02, 14.88, 15.11, 14.79, 14.97]
const DOCUMENTS: readonly (readonly [string, CheckDocument])[] = [
  ['one tail', { claim, evidence: { kind: 'readings', values } }],
  ['two tails', { claim: { ...claim, relation: 'equal-to' }, evidence: { kind: 'readings', values } }],
  [
    'a count',
    {
      claim: { ...claim, parameter: 'proportion', value: 0.9 },
      evidence: { kind: 'count', n: 20, successes: 12 },
    },
  ],
  ['a sample far out', { claim: { ...claim, value: 30 }, evidence: { kind: 'readings', values } }],
  [
    'a spread',
    {
      claim: { ...claim, parameter: 'standard-deviation', relation: 'at-most', value: 0.1 },
      evidence: { kind: 'readings', values },
    },
  ],
]

test.each(DOCUMENTS)(
  'the sampling distribution of %s stays in its frame and is well-formed',
  (_, document) => {
    const result = testedBy(document)
    const picture = samplingPicture(result)!
    const words = { statistic: 't = 1', critical: () => 'critical 2', estimate: () => '15.00 kg' }
    const drawing = samplingDrawing(picture, words, plain)
    expectInside(drawing)
    const limits = [picture.rejected.lower, picture.rejected.upper].filter((limit) => limit !== undefined)
    expect(texts(drawing).filter((text) => text === 'critical 2')).toHaveLength(limits.length)
    expect(drawing.shapes.filter(({ is }) => is === 'clipped').length).toBeLessThanOrEqual(limits.length)
    expect(texts(drawing).some((text) => text.includes('t = 1'))).toBe(true)
    expectSvg(svgOf(drawing, 'a', 'μ < 15 & "more"'))
  },
)

test.each([...OUTCOMES, 'open'] as const)(
  'the mark of %s is well-formed, and has a shape of its own',
  (outcome) => {
    const svg = svgOf(balance(outcome), 'a')
    expectSvg(svg)
    const others = [...OUTCOMES, 'open' as const].filter((other) => other !== outcome)
    // Colour only repeats it.
    const shape = (one: typeof outcome) => svgOf(balance(one), 'a').replace(/#[0-9A-F]{6}/g, '')
    for (const other of others) expect(shape(other)).not.toBe(shape(outcome))
  },
)

/** Well-formed, and without a style that a page's policy would refuse. */
function expectSvg(svg: string) {
  const parser = new SaxesParser()
  parser.on('error', (error) => {
    throw error
  })
  parser.write(svg).close()
  expect(svg).not.toMatch(/ style=|NaN|Infinity|undefined/)
}
