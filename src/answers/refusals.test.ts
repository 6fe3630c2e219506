import { check } from './check'
import { pellets, withMore, errorOf } from '@tests/answers'

describe('documents that cannot be answered', () => {
  const zeros = [3, 3, 3]
  test.each([
    [
      'no claimed value',
      { ...pellets, claim: { parameter: 'mean', relation: 'at-least' } },
      'missing',
      'claim.value',
    ],
    [
      'an unknown field',
      { ...pellets, claim: { ...pellets.claim, sigma: 1 } },
      'unknown-field',
      'claim.sigma',
    ],
    [
      'an unknown relation',
      withMore({ claim: { relation: 'about' as 'within' } }),
      'not-in-list',
      'claim.relation',
    ],
    ['a level of 0', withMore({ test: { significanceLevel: 0 } }), 'out-of-range', 'test.significanceLevel'],
    ['a level of 1', withMore({ test: { confidenceLevel: 1 } }), 'out-of-range', 'test.confidenceLevel'],
    ['no evidence', { claim: pellets.claim }, 'missing', 'evidence'],
    [
      'evidence of an unknown kind',
      { ...pellets, evidence: { kind: 'rumour' } },
      'not-in-list',
      'evidence.kind',
    ],
    [
      'a text for a reading',
      { ...pellets, evidence: { kind: 'readings', values: [1, '2'] } },
      'wrong-type',
      'evidence.values[1]',
    ],
    [
      'an infinite reading',
      { ...pellets, evidence: { kind: 'readings', values: [1, Infinity] } },
      'wrong-type',
      'evidence.values[1]',
    ],
    [
      'one reading',
      withMore({ evidence: { kind: 'readings', values: [15] } }),
      'too-few-readings',
      'evidence',
    ],
    [
      'no readings',
      withMore({ evidence: { kind: 'readings', values: [] } }),
      'too-few-readings',
      'evidence.values',
    ],
    [
      'equal readings',
      withMore({ evidence: { kind: 'readings', values: zeros } }),
      'no-variation',
      'evidence.values',
    ],
    [
      'no spread',
      withMore({ evidence: { kind: 'summary', n: 5, mean: 1 } }),
      'standard-deviation-needed',
      'evidence',
    ],
    [
      'both spreads',
      withMore({ evidence: { kind: 'summary', n: 5, mean: 1, standardDeviation: 1, variance: 1 } }),
      'both-spreads',
      'evidence',
    ],
    [
      'z without σ',
      withMore({ test: { method: 'z' } }),
      'known-standard-deviation-needed',
      'test.knownStandardDeviation',
    ],
    [
      'a reading set aside that is not there',
      withMore({ evidence: { kind: 'readings', values: [1, 2, 4], setAside: [3] } }),
      'out-of-range',
      'evidence.setAside[0]',
    ],
    [
      'a reading set aside twice',
      withMore({ evidence: { kind: 'readings', values: [1, 2, 4], setAside: [1, 1] } }),
      'set-aside-twice',
      'evidence.setAside[1]',
    ],
    [
      'a lot smaller than the sample',
      withMore({ evidence: { kind: 'readings', values: [1, 2], lotSize: 1 } }),
      'lot-too-small',
      'evidence.lotSize',
    ],
    [
      'a stated alternative beside a tolerance',
      withMore({
        claim: { relation: 'within', tolerance: { below: 1, above: 1 } },
        test: { alternative: 'less' },
      }),
      'alternative-not-free',
      'test.alternative',
    ],
    ['nothing', undefined, 'missing', ''],
    ['a list', [], 'wrong-type', ''],
  ])('%s', (_, document, code, path) => {
    const error = errorOf(document)
    expect(error).toMatchObject({ code, path })
    expect(error.message).toMatch(/^[“A-Z0-9].*\.$/)
  })

  test('an error keeps the id of its document', () => {
    expect(check({ id: 'a', claim: 1 })).toMatchObject({ id: 'a', ok: false })
  })
})
