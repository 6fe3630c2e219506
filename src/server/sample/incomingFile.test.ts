import { createHash } from 'node:crypto'
import { tmpdir } from 'node:os'
import { buffer } from 'node:stream/consumers'
import { Scratch } from '@/data/scratch'
import { MAX_BYTES } from '@/intake/sheet/sheetProblems'
import { valueOf } from '@tests/outcome'
import { takeIn } from './incomingFile'

const { signal } = new AbortController()
const scratch = new Scratch(tmpdir())
afterAll(() => scratch.close())

async function* body(...pieces: readonly Uint8Array[]) {
  yield* pieces
}

test('a file is there byte for byte, in pieces of any size and as often as it is asked for', async () => {
  const own = new Scratch(tmpdir())
  const bytes = Uint8Array.from({ length: 200_000 }, (_, at) => at % 251)
  const given = [bytes.subarray(0, 70_000), bytes.subarray(70_000, 70_001), bytes.subarray(70_001)]
  const file = valueOf(await takeIn(own, body(...given), signal))
  expect(file.length).toBe(bytes.length)
  expect(file.sha256).toBe(createHash('sha256').update(bytes).digest('hex'))
  expect(file.beginning).toEqual(bytes.subarray(0, 64 * 1024))
  expect(file.whole()).toEqual(bytes)
  for (const size of [undefined, 1000, 70_000, 1e6])
    expect(await buffer(file.pieces(signal, size))).toEqual(Buffer.from(bytes))
  own.close()
})

test('a file that is larger than any that is taken is refused, with how large it is', async () => {
  const refused = await takeIn(scratch, body(Uint8Array.of(1), new Uint8Array(MAX_BYTES)), signal)
  expect(refused).toMatchObject({
    problem: { message: expect.stringMatching(/^The file has 769 MB at least; at most 768 MB are taken/) },
  })
})

test('whoever gives it up ends its coming in, and its reading', async () => {
  const control = new AbortController()
  const file = valueOf(await takeIn(new Scratch(tmpdir()), body(Uint8Array.of(1, 2)), control.signal))
  const pieces = file.pieces(control.signal, 1)
  await pieces.next()
  control.abort()
  await expect(pieces.next()).rejects.toThrow('aborted')
  await expect(takeIn(scratch, body(Uint8Array.of(1)), control.signal)).rejects.toThrow('aborted')
})
