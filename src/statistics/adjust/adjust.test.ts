import fc from 'fast-check'
import { adjustPValues, ADJUSTMENTS } from './adjust'

const pValues = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 20 })

test.each(ADJUSTMENTS)('%s keeps the order, raises every p-value and none above 1', (adjustment) => {
  fc.assert(
    fc.property(pValues, (values) => {
      const adjusted = adjustPValues(values, adjustment)
      for (const [i, p] of values.entries()) {
        expect(adjusted[i]!).toBeGreaterThanOrEqual(p)
        expect(adjusted[i]!).toBeLessThanOrEqual(1)
        for (const [j, other] of values.entries())
          if (p < other) expect(adjusted[i]!).toBeLessThanOrEqual(adjusted[j]!)
      }
    }),
  )
})

test('Holm is never less strict than Benjamini and Hochberg, and one p-value stays as it is', () => {
  fc.assert(
    fc.property(pValues, (values) => {
      const [holm, other] = ADJUSTMENTS.map((adjustment) => adjustPValues(values, adjustment))
      for (const [i, p] of holm!.entries()) expect(p).toBeGreaterThanOrEqual(other![i]! - 1e-15)
    }),
  )
  for (const adjustment of ADJUSTMENTS) expect(adjustPValues([0.03], adjustment)).toEqual([0.03])
  expect(adjustPValues([], 'holm')).toEqual([])
})
