import { readWording } from './readWording'

/** What is guessed, on one line: parameter, relation, value with its tolerance, unit; “?” for what the words leave open. */
function guessed(wording: string, mark: 'point' | 'comma' = 'point'): string {
  const {
    parameter = '?',
    relation = '?',
    claimedValue = '?',
    toleranceBelow,
    toleranceAbove,
    unit,
  } = readWording(wording, mark)?.words ?? {}
  expect(toleranceAbove).toBe(toleranceBelow)
  const tolerance = toleranceBelow && `± ${toleranceBelow}`
  return [parameter, relation, claimedValue, tolerance, unit].filter(Boolean).join(' ')
}

// Wordings made up for the purpose.
test.each([
  ['15 kg net', '? ? 15 kg'],
  ['contains 500 ml', '? ? 500 ml'],
  ['holds 12 sheets', '? ? 12 sheets'],
  ['a mean of 15 kg', 'mean ? 15 kg'],
  ['on average 15 kg', 'mean ? 15 kg'],
  ['average weight 15 kg', 'mean ? 15 kg'],
  ['the mean is 40.5 g', 'mean ? 40.5 g'],
  ['mean equal to 40.5 g', 'mean equal-to 40.5 g'],
  ['mean of exactly 40.5 g', 'mean equal-to 40.5 g'],
  ['average exactly 83210', 'mean equal-to 83210'],
  ['contains no less than 500 ml', '? at-least 500 ml'],
  ['not less than 500 ml on average', 'mean at-least 500 ml'],
  ['no fewer than 500 sheets', '? at-least 500 sheets'],
  ['not fewer than 500 sheets', '? at-least 500 sheets'],
  ['never less than 500 ml', '? at-least 500 ml'],
  ['at least 500 ml', '? at-least 500 ml'],
  ['At Least 500 ml', '? at-least 500 ml'],
  ['at the least 500 ml', '? at-least 500 ml'],
  ['500 ml at least', '? at-least 500 ml'],
  ['500 ml or more', '? at-least 500 ml'],
  ['500 ml or above', '? at-least 500 ml'],
  ['500 ml and over', '? at-least 500 ml'],
  ['500 ml minimum', '? at-least 500 ml'],
  ['min. 500 ml', '? at-least 500 ml'],
  ['minimum 500 ml', '? at-least 500 ml'],
  ['a minimum of 12 % protein', '? at-least 12 %'],
  ['minimum of 500 ml', '? at-least 500 ml'],
  ['never below 4 °C', '? at-least 4 °C'],
  ['not under 18 years', '? at-least 18 years'],
  ['does not fall below 4 °C', '? at-least 4 °C'],
  ['never drops below 4 °C', '? at-least 4 °C'],
  ['≥ 15 kg', '? at-least 15 kg'],
  ['>= 15 kg', '? at-least 15 kg'],
  ['at least an average of 15 kg', 'mean at-least 15 kg'],
  ['at least the claimed 15 kg', '? at-least 15 kg'],
  ['no additives, at least 15 kg', '? at-least 15 kg'],
  ['no lower than 5 °C', '? at-least 5 °C'],
  ['not shorter than 2 m', '? at-least 2 m'],
  ['at most 0.3 mg/l', '? at-most 0.3 mg/l'],
  ['0.3 mg/l at most', '? at-most 0.3 mg/l'],
  ['up to 12.5 h of light', '? at-most 12.5 h'],
  ['not more than 0.3 mg/l', '? at-most 0.3 mg/l'],
  ['no more than 0.3 mg/l', '? at-most 0.3 mg/l'],
  ['never more than 5 mg', '? at-most 5 mg'],
  ['no longer than 5 min', '? at-most 5 min'],
  ['no greater than 8 %', '? at-most 8 %'],
  ['not higher than 60 dB', '? at-most 60 dB'],
  ['not over 60 dB', '? at-most 60 dB'],
  ['never above 8 % on average', 'mean at-most 8 %'],
  ['must not exceed 5 mg', '? at-most 5 mg'],
  ['does not exceed 5 mg', '? at-most 5 mg'],
  ["doesn't exceed 5 mg", '? at-most 5 mg'],
  ['cannot exceed 5 mg on average', 'mean at-most 5 mg'],
  ["can't exceed 5 mg", '? at-most 5 mg'],
  ['not to exceed 5 mg', '? at-most 5 mg'],
  ['never exceeds 5 mg', '? at-most 5 mg'],
  ["isn't above 5 mg", '? at-most 5 mg'],
  ['max. 5 g', '? at-most 5 g'],
  ['maximum 5 g', '? at-most 5 g'],
  ['5 g maximum', '? at-most 5 g'],
  ['a maximum of 5 g', '? at-most 5 g'],
  ['5 g or less', '? at-most 5 g'],
  ['5 g or under', '? at-most 5 g'],
  ['≤ 0.3 mg/l', '? at-most 0.3 mg/l'],
  ['<= 0.3 mg/l', '? at-most 0.3 mg/l'],
  ['no louder than 42 dB', '? at-most 42 dB'],
  ['less than 5 g', '? less-than 5 g'],
  ['fewer than 2 in 1000 fail', 'proportion less-than 0.2 %'],
  ['under 5 g of fat', '? less-than 5 g'],
  ['below 42 dB', '? less-than 42 dB'],
  ['quieter than 42 dB', '? less-than 42 dB'],
  ['lighter than 1.2 kg', '? less-than 1.2 kg'],
  ['shorter than 2 m', '? less-than 2 m'],
  ['cooler than 4 °C', '? less-than 4 °C'],
  ['lower than the claimed 4 °C', '? less-than 4 °C'],
  ['< 5 g', '? less-than 5 g'],
  ['more than 5 g', '? more-than 5 g'],
  ['lasts longer than 1000 h', '? more-than 1000 h'],
  ['louder than 100 dB', '? more-than 100 dB'],
  ['heavier than 2 kg', '? more-than 2 kg'],
  ['over 10 years', '? more-than 10 years'],
  ['above 4 °C', '? more-than 4 °C'],
  ['exceeds 12.5 kg', '? more-than 12.5 kg'],
  ['in excess of 12.5 kg', '? more-than 12.5 kg'],
  ['> 5 g', '? more-than 5 g'],
  ['greater than an average of 5 g', 'mean more-than 5 g'],
  ['equal to 40.5', '? equal-to 40.5'],
  ['equals 40.5', '? equal-to 40.5'],
  ['exactly 10 mm', '? equal-to 10 mm'],
  ['the same as 40.5', '? equal-to 40.5'],
  ['identical to 40.5 g', '? equal-to 40.5 g'],
  ['= 10 mm', '? equal-to 10 mm'],
  ['unchanged at 12 g', '? equal-to 12 g'],
  ['does not differ from 12 g', '? equal-to 12 g'],
  ["doesn't differ from 12 g", '? equal-to 12 g'],
  ['is no different from 12 g', '? equal-to 12 g'],
  ['not different from 12 g', '? equal-to 12 g'],
  ['has not changed from 12 g', '? equal-to 12 g'],
  ['not equal to 40.5', '? different-from 40.5'],
  ["isn't equal to 40.5", '? different-from 40.5'],
  ['unequal to 40.5', '? different-from 40.5'],
  ['not the same as 40.5', '? different-from 40.5'],
  ['different from 40.5', '? different-from 40.5'],
  ['different to 40.5', '? different-from 40.5'],
  ['differs from 40.5 g', '? different-from 40.5 g'],
  ['the average differs from 12 g', 'mean different-from 12 g'],
  ['other than 40.5 g', '? different-from 40.5 g'],
  ['has changed from 40.5 g', '? different-from 40.5 g'],
  ['the mean has changed from 40.5 g to 41 g', 'mean different-from 40.5 g'],
  ['≠ 10 mm', '? different-from 10 mm'],
  ['!= 10 mm', '? different-from 10 mm'],
  ['10 mm ± 0.5', '? within 10 ± 0.5 mm'],
  ['10 mm ± 0.5 mm', '? within 10 ± 0.5 mm'],
  ['10 +/- 0.5 mm', '? within 10 ± 0.5 mm'],
  ['10 mm, plus or minus 0.5 mm', '? within 10 ± 0.5 mm'],
  ['within 0.5 mm of 10 mm', '? within 10 ± 0.5 mm'],
  ['between 9.5 and 10.5 mm', '? within 10 ± 0.5 mm'],
  ['between 9.5 mm and 10.5 mm on average', 'mean within 10 ± 0.5 mm'],
  ['from 9.5 to 10.5 mm', '? within 10 ± 0.5 mm'],
  ['9.5 to 10.5 mm', '? within 10 ± 0.5 mm'],
  ['9.5–10.5 mm', '? within 10 ± 0.5 mm'],
  ['95 of 100 deliveries arrive within two days', 'proportion ? 95 %'],
  ['95 out of 100 deliveries', 'proportion ? 95 %'],
  ['at least 9 out of 10 would buy again', 'proportion at-least 90 %'],
  ['more than 1 in 4 households', 'proportion more-than 25 %'],
  ['99.5 % of parcels arrive whole', 'proportion ? 99.5 %'],
  ['at least 90 percent of parcels', 'proportion at-least 90 %'],
  ['fewer than 5 % of letters are late', 'proportion less-than 5 %'],
  ['share equal to 15.6 %', 'proportion equal-to 15.6 %'],
  ['the share that is late is under 5 %', 'proportion less-than 5 %'],
  ['the proportion is at most 0.05', 'proportion at-most 0.05'],
  ['a percentage of at least 12 %', 'proportion at-least 12 %'],
  ['varies by no more than 0.30 °C', 'standard-deviation at-most 0.30 °C'],
  ['standard deviation at most 0.3 mm', 'standard-deviation at-most 0.3 mm'],
  ['standard deviation of 0.3 mm', 'standard-deviation ? 0.3 mm'],
  ['scatter below 0.3 mm', 'standard-deviation less-than 0.3 mm'],
  ['variance of at most 0.04', 'variance at-most 0.04'],
  ['variance equal to 0.04', 'variance equal-to 0.04'],
  ['median of at least 6 h', 'median at-least 6 h'],
  ['median burning time at least 6 h', 'median at-least 6 h'],
  ['the median differs from 6 h', 'median different-from 6 h'],
  ['both lines fill just as evenly', 'variance-ratio equal-to 1'],
  ['as uniform as the old line', 'variance-ratio equal-to 1'],
  ['under normal use lasts 1000 h', '? ? 1000 h'],
  ['over the winter it burns 15 kg', '? ? 15 kg'],
  ['the mean has changed', 'mean different-from ?'],
  ['it has changed', '? different-from ?'],
  ['the mean is the same as before', 'mean ? ?'],
  ['average of 1.234,5 kg', 'mean ? ?'],
  ['average of 1,234.5 kg', 'mean ? ?'],
  ['average of 1 234 kg', 'mean ? ?'],
  ["mean 1'234 kg", 'mean ? ?'],
  ['at least 1,234 kg', '? at-least ?'],
  ['at least 40,000 km', '? at-least ?'],
  ['at least forty kg', '? ? ?'],
  ['$83,210 on average', 'mean ? ?'],
  ['does not always exceed 5 mg', '? ? ?'],
  ['not necessarily at least 5 mg', '? ? ?'],
  ['at least 15 kg is not guaranteed', '? ? ?'],
  ['nobody says at least 5 mg is not enough', '? ? ?'],
  ['not between 5 and 7 mm', '? ? ?'],
  ['not within 0.5 mm of 10 mm', '? ? ?'],
  ['not 10 mm ± 0.5', '? ? ?'],
  ['within 5 % of 10 kg', '? ? ?'],
  ['at least 5 and at most 9 mm', '? ? ?'],
  ['more than 5 g but less than 9 g', '? ? ?'],
  ['at least 15 kg and 20 bags', '? at-least 15 kg'],
  ['delivered within 5 days', '? ? 5 days'],
  ['lasts 1000 h, tested to EN 14961', '? ? ?'],
  ['2-year warranty', '? ? ?'],
  ['delivered 2026-01-14', '? ? ?'],
  ['open 8:30 to 16:30', '? ? ?'],
  ['mean or median of 40.5 g', '? ? 40.5 g'],
  ['the mean, not the median, is 40.5 g', '? ? 40.5 g'],
  ['not as evenly as the other line', 'variance-ratio ? ?'],
  ['2 out of 3 prefer it', 'proportion ? ?'],
  ['at least 5 of 10 and at most 9 of 10', 'proportion ? ?'],
  ['95 of 100 in town and 90 of 100 outside', 'proportion ? ?'],
  ['90 % of letters and 80 % of parcels', 'proportion ? ?'],
  ['half of the bags hold 15 kg', '? ? 15 kg'],
  ['10 to 5 mm', '? ? ?'],
  ['typically 15 kg', '? ? 15 kg'],
  ['better than 15 kg', '? ? 15 kg'],
  ['faster than 15 s', '? ? 15 s'],
  ['about 15 kg', '? ? 15 kg'],
  ['15 kg, or 33 lb', '? ? ?'],
  ['the finest pellets of the island', '? ? ?'],
])('“%s” is read as %s', (wording, expected) => {
  expect(guessed(wording)).toBe(expected)
})

test('what is left open is told, with the words that the rest was guessed from', () => {
  expect(readWording('no less than 500 ml on average', 'point')).toEqual({
    words: { parameter: 'mean', relation: 'at-least', claimedValue: '500', unit: 'ml' },
    seen: ['500 ml', 'no less than', 'on average'],
    unseen: [],
  })
  expect(readWording('not over 1,234 kg', 'point')).toEqual({
    words: { relation: 'at-most' },
    seen: ['not over'],
    unseen: ['parameter', 'value'],
  })
  expect(readWording('15 kg', 'point')).toMatchObject({ seen: ['15 kg'], unseen: ['parameter', 'relation'] })
  expect(readWording('isn’t at least 5', 'point')).toMatchObject({
    words: { relation: 'less-than', claimedValue: '5' },
    seen: ['5', 'not at least'],
  })
})

test('nothing is guessed from a wording that says nothing of the kind', () => {
  expect(readWording('the finest pellets of the island', 'point')).toBeUndefined()
  expect(readWording('', 'point')).toBeUndefined()
})

test('a number is read with the decimal mark that is stated', () => {
  expect(guessed('at least 1,5 kg', 'comma')).toBe('? at-least 1,5 kg')
  expect(guessed('at least 1.5 kg', 'comma')).toBe('? at-least ?')
  expect(guessed('an average of 1.234,5 kg', 'comma')).toBe('mean ? ?')
})

test('a percentage is written on the scale of the parameter that the words leave open', () => {
  const wording = 'fewer than 5 % are late'
  expect(readWording(wording, 'point', 'proportion')?.words).toEqual({
    relation: 'less-than',
    claimedValue: '5 %',
  })
  expect(readWording(wording, 'point', 'mean')?.words).toMatchObject({ claimedValue: '5', unit: '%' })
})

test.each([
  ['95 % of the sacks hold at least 15 kg', 'sacks', undefined, '95 %', 'at-least', '15', 'kg'],
  ['At least 95% of all stoves last no less than 6 h', 'stoves', 'at-least', '95 %', 'at-least', '6', 'h'],
  ['no more than 2 % of packs weigh at most 14.5 kg', 'packs', 'at-most', '2 %', 'at-most', '14.5', 'kg'],
] as const)(
  '%s is a share of items by their readings',
  (wording, quantity, relation, claimedValue, limitSide, limitValue, unit) => {
    const { words, unseen } = readWording(wording, 'point')!
    expect(words).toEqual({
      parameter: 'proportion',
      quantity,
      claimedValue,
      limitSide,
      limitValue,
      unit,
      ...(relation ? { relation } : {}),
    })
    expect(unseen).toEqual(relation ? [] : ['relation'])
  },
)

test.each([
  '95 % of the sacks hold at least 15 kg and 80 % of the sacks hold at least 16 kg',
  '95 % of the sacks never hold at least 15 kg',
  '95 % of deliveries arrive within two days',
])('%s is none', (wording) => {
  expect(readWording(wording, 'point')?.words).not.toHaveProperty('limitValue')
})
