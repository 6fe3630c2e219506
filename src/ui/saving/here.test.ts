import { Here } from './here'

const draft = (words: string, revision: number) => ({ draft: words, revision })
const shown = ({ draft: words, revision, isStored }: Here<string>) => [words, revision, isStored]

// As in a browser: on the server nothing is remembered.
beforeAll(() => Object.assign(globalThis, { window: {} }))
afterAll(() => Reflect.deleteProperty(globalThis, 'window'))

test('a page begins with what the server gave it, unless this window stored something newer', () => {
  expect(shown(Here.at('a', draft('read', 3)))).toEqual(['read', 3, true])
  const here = Here.at('a', draft('read', 3))
  here.type('typed', false)
  here.store('typed', 4)
  expect(shown(Here.at('a', draft('read before', 3)))).toEqual(['typed', 4, true])
  expect(shown(Here.at('a', draft('read after', 4)))).toEqual(['read after', 4, true])
  expect(shown(Here.at('a', draft('of another window', 5)))).toEqual(['of another window', 5, true])
  expect(shown(Here.at('another address', draft('read', 3)))).toEqual(['read', 3, true])
})

test('what was typed and is not stored is there again, whatever another window stored', () => {
  const left = Here.at('b', draft('read', 3))
  left.type('typed', false)
  const next = Here.at('b', draft('of another window', 9))
  expect(shown(next)).toEqual(['typed', 3, false])
  // The page that was left is told that its draft was stored, after more was typed on the next one.
  next.type('typed on', false)
  left.store('typed', 4)
  expect(shown(next)).toEqual(['typed on', 4, false])
  next.take(draft('chosen', 9))
  expect(shown(left)).toEqual(['chosen', 9, true])
})

test('a server remembers nothing: it serves many windows', () => {
  Reflect.deleteProperty(globalThis, 'window')
  Here.at('c', draft('of one', 7)).type('of one, typed', false)
  expect(shown(Here.at('c', draft('of another', 1)))).toEqual(['of another', 1, true])
  Object.assign(globalThis, { window: {} })
})
