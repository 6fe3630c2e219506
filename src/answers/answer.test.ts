import { answer } from './answer'

test.each([null, 5, 'mean', true])('%p is no document, and is refused as such', (document) => {
  expect(answer(document)).toMatchObject({ ok: false, error: { code: 'wrong-type', path: '' } })
})
