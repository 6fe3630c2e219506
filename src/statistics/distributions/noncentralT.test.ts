import { noncentralTTails } from './noncentralT'
import { noncentralTSeries, SERIES_RANGE } from './noncentralTSeries'

// mpmath 1.2.1 at 40 digits: the log of ∫ Φ(t s − δ) dP(s), by quadrature about its peak.
test.each([
  [1.7, 19, 300, -38998.9612087869481],
  [1.7, 19, 1000, -433907.696980335356],
  [2.9, 2, 223, -4777.14797914044033],
  [6.31, 1, 182, -409.347740212762764],
])(
  'the far lower tail at %f of %i degrees of freedom and noncentrality %i',
  (t, df, noncentrality, expected) => {
    const { logLower } = noncentralTTails({ t, degreesOfFreedom: df, noncentrality })
    expect(Math.abs(logLower / expected - 1)).toBeLessThan(1e-13)
  },
)

test('the series and the integral agree wherever the series is used', () => {
  for (const degreesOfFreedom of [1, 2, 5.5, 19, 100, 1e5]) {
    for (const t of [0, 0.01, 0.5, 1, 3, 10, 29]) {
      const series = noncentralTSeries({ t, degreesOfFreedom })
      for (const noncentrality of [-5, -3, -1, 0, 0.5, 2, 8, 15, 34]) {
        const fast = series(noncentrality)
        const slow = noncentralTTails({ t, degreesOfFreedom, noncentrality })
        for (const tail of ['lower', 'upper'] as const) {
          if (slow[tail] < SERIES_RANGE.tail) continue
          const error = Math.abs(fast[tail] / slow[tail] - 1)
          expect({ degreesOfFreedom, t, noncentrality, tail, isClose: error < 1e-10 }).toMatchObject({
            isClose: true,
          })
        }
      }
    }
  }
})
