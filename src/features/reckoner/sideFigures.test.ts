import { onTheSide, type SideTexts } from './sideFigures'

const plain = (text: string) => text.replaceAll('\u202f', ' ').replaceAll('\u2212', '-')
const figures = (texts: SideTexts) => onTheSide(texts).figures

test('a spread, its square and the error of a mean', () => {
  const { variance, error, gap } = figures({
    spread: '0.107',
    sampleSize: '24',
    sampleMean: '14.929',
    claimed: '15',
  })
  expect(variance).toEqual({ shown: '0.011449', full: '0.011449' })
  expect(error!.shown).toBe('0.0218413')
  expect(plain(gap!.shown)).toBe('-3.25072')
  expect(figures({ variance: '0.011449' }).spread).toEqual({ shown: '0.107', full: '0.107' })
})

test('a figure waits for all that it takes, and is none of nothing', () => {
  expect(figures({ spread: '0.107' }).error).toBeUndefined()
  expect(figures({ spread: '0', sampleSize: '4', sampleMean: '1', claimed: '2' }).gap).toBeUndefined()
  expect(figures({ spread: '0' }).variance).toEqual({ shown: '0', full: '0' })
  expect(figures({ spread: '2', sampleSize: '4', sampleMean: '1' }).gap).toBeUndefined()
})

test('shares both ways', () => {
  const both = (texts: SideTexts, key: 'counted' | 'share') =>
    figures(texts)[key]?.map(({ shown, full }) => [plain(shown), full])
  expect(both({ count: '186', of: '200' }, 'counted')).toEqual([
    ['93 %', '93'],
    ['0.93', '0.93'],
  ])
  expect(both({ share: '62.5 %' }, 'share')).toEqual([
    ['62.5 %', '62.5'],
    ['0.625', '0.625'],
  ])
  expect(both({ share: '0.07' }, 'share')).toEqual([
    ['7 %', '7'],
    ['0.07', '0.07'],
  ])
  expect(onTheSide({ count: '201', of: '200' }).problems).toMatchObject([{ field: 'count' }])
  expect(onTheSide({ share: '62.5' }).problems).toMatchObject([{ field: 'share', wouldDo: ['62.5 %'] }])
})

test('what lies beyond z, on either side of zero, however far', () => {
  for (const z of ['1.96', '-1.96']) {
    const { tail, tails } = figures({ z })
    expect([tail, tails].map((one) => plain(one!.shown))).toEqual(['2.49979 %', '4.99958 %'])
    expect(Number(tails!.full)).toBeCloseTo(0.04999579, 8)
  }
  const far = figures({ z: '50' })
  expect([far.tail!.shown, far.tails!.shown].map(plain)).toEqual(['1.080598e-545', '2.161196e-545'])
})

test('what can’t be read is told of by its name', () => {
  const { problems } = onTheSide({ spread: '-1', sampleSize: '2.5', claimed: 'many' })
  expect(problems.map(({ field }) => field)).toEqual(['spread', 'sampleSize', 'claimed'])
  expect(problems[0]!.message).toMatch(/^The standard deviation is “-1”/)
})
