import { Readable, Writable } from 'node:stream'
import { setTimeout as wait } from 'node:timers/promises'
import { answerLines } from './answerLines'

/** More at once than are answered without a thread. */
const MANY = '{"describe":{"values":[1,2,3]}}\n'.repeat(40)

test('a thread that breaks is told of, whenever the next lines come', async () => {
  const broken = new URL('data:text/javascript,throw new Error("it broke")')
  const input = Readable.from(
    (async function* () {
      for (const text of [MANY, MANY]) yield Buffer.from(text)
      await wait(1500)
      yield Buffer.from(MANY)
    })(),
  )
  const unmet: unknown[] = []
  const note = (error: unknown) => unmet.push(error)
  process.on('unhandledRejection', note)
  const output = new Writable({ write: (_, __, done) => done() })
  await expect(answerLines({ input, output, style: 'json', thread: broken })).rejects.toThrow('it broke')
  process.off('unhandledRejection', note)
  expect(unmet).toEqual([])
})
