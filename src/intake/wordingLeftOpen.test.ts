import { readWording } from './readWording'
import { guessed } from '@tests/guessedWording'

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
