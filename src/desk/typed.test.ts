import { beginningOf, wellFormed } from './typed'
import { changeBetween } from './trail/change'

test('a text is cut between characters, not through one', () => {
  expect(beginningOf('ab😀', 4)).toBe('ab😀')
  expect(beginningOf('ab😀', 3)).toBe('ab')
  expect(beginningOf('ab😀c', 4)).toBe('ab😀')
  expect(beginningOf('abc', 2)).toBe('ab')
})

test('what is no whole character is replaced', () => {
  expect(wellFormed('a\ud83d')).toBe('a\ufffd')
  expect(wellFormed('😀')).toBe('😀')
})

test('a change of a long text is told in whole characters', () => {
  const long = 'x'.repeat(1001)
  for (const [before, after] of [
    [`${long}😀y`, `${long}😁y`],
    [`😀${long}`, `😁${long}`],
    // The same second half behind another first one.
    [`${long}\u{1f600}`, `${long}\u{1fa00}`],
  ] as const) {
    const change = changeBetween({ notes: before }, { notes: after })!
    for (const [text, whole] of [
      [change.before, before],
      [change.after, after],
    ] as const) {
      const { notes } = JSON.parse(text)
      expect(notes.text).toBe(wellFormed(notes.text))
      expect(whole.slice(notes.from, notes.from + notes.text.length)).toBe(notes.text)
    }
  }
})
