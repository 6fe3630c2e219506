import { readClaimText } from './claimText'

test.each([
  ['mean at least 15 kg', { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg' }],
  ['  Average  more than -1.5e2 °C', { parameter: 'mean', relation: 'more-than', value: -150, unit: '°C' }],
  ['standard deviation at most 0.3', { parameter: 'standard-deviation', relation: 'at-most', value: 0.3 }],
  ['share at least 95 %', { parameter: 'proportion', relation: 'at-least', value: 0.95 }],
  ['share less than 0.05', { parameter: 'proportion', relation: 'less-than', value: 0.05 }],
  [
    'variance different from 2 mm²',
    { parameter: 'variance', relation: 'different-from', value: 2, unit: 'mm²' },
  ],
  [
    'median within 9.5 to 10.5 mm',
    { parameter: 'median', relation: 'within', value: 10, tolerance: { below: 0.5, above: 0.5 }, unit: 'mm' },
  ],
])('reads “%s”', (text, claim) => {
  expect(readClaimText(text)).toEqual({ ok: true, value: claim })
})

test.each([
  'about 15 kg',
  'mean 15 kg',
  'mean at least kg',
  'mean at least 95 %',
  'median within 10.5 to 9.5 mm',
  'mean at least 1.2.3',
])('refuses “%s”, with what would do', (text) => {
  const read = readClaimText(text)
  expect(read).toMatchObject({ ok: false, problem: { code: 'claim-not-read' } })
  expect(!read.ok && read.problem.message).toContain('mean at least 15 kg')
})
