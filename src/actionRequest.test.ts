import { actionRefusal } from './actionRequest'

const refusal = (body: string | undefined, headers: Readonly<Record<string, string>> = {}, method = 'POST') =>
  actionRefusal(
    new Request('http://127.0.0.1/cases/x', {
      method,
      headers: { 'Next-Action': 'x', 'Content-Type': 'text/plain;charset=UTF-8', ...headers },
      ...(body === undefined ? {} : { body }),
    }),
  )

test.each(['[]', '["a",{"b":[1,null,true,"$undefined"]}]', '["$$100","$NaN","$-0","$n123"]', '["a $ b"]'])(
  'what a page sends is taken: %s',
  async (body) => expect(await refusal(body)).toBeUndefined(),
)

test.each([
  undefined,
  '',
  'x',
  '{}',
  '1',
  '["a"',
  JSON.stringify(Array(11).fill(1)),
  '["$F1"]',
  '["$K1"]',
  '[{"a":["$Q0"]}]',
  '["$1"]',
  '["$@1"]',
  '["$ACTION_1"]',
  '["$undefined and more"]',
  `${'['.repeat(200)}${']'.repeat(200)}`,
])('what a page does not send is refused: %s', async (body) => {
  expect(await refusal(body)).toBe('What was sent is no list of values, as a page sends it.')
})

test.each(['multipart/form-data; boundary=x', 'application/json', 'text/plain2'])(
  'nor the type %s',
  async (type) => {
    expect(await refusal('[]', { 'Content-Type': type })).toContain(`of the type “${type}”`)
  },
)

test('what is no request to an action is none of its business, and the request can still be read', async () => {
  expect(await refusal(undefined, {}, 'GET')).toBeUndefined()
  const form = new Request('http://127.0.0.1/', { method: 'POST', body: 'x' })
  expect(await actionRefusal(form)).toBeUndefined()
  const action = new Request('http://127.0.0.1/', {
    ...{ method: 'POST', body: '["a"]' },
    headers: { 'Next-Action': 'x', 'Content-Type': 'text/plain' },
  })
  expect(await actionRefusal(action)).toBeUndefined()
  expect(await action.text()).toBe('["a"]')
})
