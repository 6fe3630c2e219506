import type { Font } from 'fontkit'
import { printFonts } from '../document/fonts'
import { FontBook } from './fontBook'

let book: FontBook
beforeAll(async () => {
  book = new FontBook(await printFonts(process.cwd()))
})
const written = () => book.fonts().find(({ key }) => key === book.word('a', 'serif').runs[0]!.font)!
const layout = (text: string) => (written().written as unknown as Font).layout(text)

test('what a glyph stands for comes from its own text, whatever was set before', () => {
  // The font has one glyph for the space that breaks a line and the one that does not.
  const pointsOf = (text: string) => layout(text).glyphs.map(({ codePoints }) => codePoints)
  const [kept, broken] = ['12\u00a0', '12 ']
  book.word(kept, 'serif')
  expect(pointsOf(kept)).toEqual([[0x31], [0x32], [0xa0]])
  expect(pointsOf(broken)).toEqual([[0x31], [0x32], [0x20]])
  expect(layout(broken).glyphs.map(({ id }) => id)).toEqual(layout(kept).glyphs.map(({ id }) => id))
})

test('a text that was shaped before is given as it was, whatever its first writer made of it', () => {
  const first = layout('AV 12.5')
  const own = structuredClone(first.positions.map((position) => ({ ...position })))
  for (const position of first.positions) position.xAdvance *= 1000
  const second = layout('AV 12.5')
  expect(second.positions).toEqual(own)
  expect(second.advanceWidth).toBe(first.advanceWidth)
  expect(second.advanceWidth).toBeCloseTo(
    own.reduce((sum, { xAdvance }) => sum + xAdvance, 0),
    6,
  )
})

test('a word is as wide as it is written', () => {
  const { width, runs } = book.word('Weighed', 'serif')
  expect(runs).toHaveLength(1)
  expect(width).toBeCloseTo(layout('Weighed').advanceWidth / 1000, 9)
})
