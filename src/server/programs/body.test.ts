import { wholeBody } from './body'

/** A request whose body comes in pieces of a kilobyte; counts those that were asked for. */
function sent(kilobytes: number) {
  let asked = 0
  const body = new ReadableStream<Uint8Array>({
    pull(controller) {
      if (asked === kilobytes) return controller.close()
      controller.enqueue(new Uint8Array(1024).fill(asked % 256))
      asked += 1
    },
  })
  const request = new Request('http://localhost/', { method: 'POST', body, duplex: 'half' } as RequestInit)
  return { request, asked: () => asked }
}
const MOST = 10 * 1024

test('a body of any pieces is taken whole, up to the last byte that is allowed', async () => {
  const taken = await wholeBody(sent(10).request, MOST)
  if (!taken.ok) throw new Error(taken.problem.message)
  expect(taken.value).toHaveLength(MOST)
  expect(taken.value[MOST - 1]).toBe(9)
})

test('no body at all is an empty one', async () => {
  const request = new Request('http://localhost/', { method: 'POST' })
  expect(await wholeBody(request, MOST)).toMatchObject({ ok: true, value: { length: 0 } })
})

test('a larger one is refused, and its rest taken so that the answer is read', async () => {
  const { request, asked } = sent(30)
  expect(await wholeBody(request, MOST)).toMatchObject({ ok: false, problem: { code: 'too-large' } })
  expect(asked()).toBe(30)
})

test('one without an end is not waited for', async () => {
  const { request, asked } = sent(1_000_000)
  expect(await wholeBody(request, MOST)).toMatchObject({ ok: false, problem: { code: 'too-large' } })
  expect(asked()).toBeLessThan(50)
})
