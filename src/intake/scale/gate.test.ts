import { Gate, type Standing } from './gate'
import { readScaleLine } from './line'

/** What stands after each line; a unit that is new is taken where it is wanted. */
function standings(lines: readonly string[], isTaking = true): readonly Standing[] {
  const gate = new Gate()
  return lines.map((line) => {
    const read = readScaleLine(line)
    if (read.is !== 'reading') throw new Error(line)
    const standing = gate.next(read)
    if (standing === 'new' && isTaking) gate.take(read)
    return standing
  })
}

test('each unit is new once, and the next when the pan was empty', () => {
  expect(
    standings([
      'stable 0.000 kg',
      'moving 9.1 kg',
      'stable 14.9 kg',
      'stable 14.9 kg',
      'stable 0.1 kg',
      'stable 15 kg',
    ]),
  ).toEqual(['empty', 'moving', 'new', 'taken', 'empty', 'new'])
  // The pan was empty only while it swung.
  expect(standings(['stable 14.9 kg', 'moving -0.2 kg', 'moving 14 kg', 'stable 15 kg'])).toEqual([
    ...['new', 'moving', 'moving', 'new'],
  ])
  // Something was put beside it.
  expect(standings(['stable 14.9 kg', 'moving 20 kg', 'stable 29.8 kg'])).toEqual(['new', 'moving', 'taken'])
  expect(standings(['stable 14.9 kg', 'stable 14.9 kg'], false)).toEqual(['new', 'new'])
})

test('an instrument that does not say whether it stands still does after three same readings', () => {
  expect(standings(['14.8', '14.9', '14.9', '14.9', '14.9', '0', '0', '0'])).toEqual([
    ...['moving', 'moving', 'moving', 'new', 'taken', 'moving', 'moving', 'empty'],
  ])
})

test('a unit may weigh little, where the first one does', () => {
  expect(standings(['stable 0.004 kg', 'stable 0 kg', 'stable 0.003 kg'])).toEqual(['new', 'empty', 'new'])
})

test('what a unit weighs is not known before one was taken', () => {
  const gate = new Gate()
  expect(gate.isSure).toBe(false)
  gate.take({ value: 0.4 })
  expect(gate.isSure).toBe(true)
  gate.take({ value: 14.9 })
  // An empty pan whose zero has drifted counts as empty then.
  const drifted = readScaleLine('stable 0.003 kg')
  expect(drifted.is === 'reading' && gate.next(drifted)).toBe('empty')
})
