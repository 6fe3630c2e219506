import { Readable, Writable } from 'node:stream'
import { setTimeout as wait } from 'node:timers/promises'
import { answerBatch } from './answerBatch'
import { answerLines } from './answerLines'

/** More at once than are answered without a thread. */
const MANY = '{"describe":{"values":[1,2,3]}}\n'.repeat(40)

test('a line that is not JSON is named, by its beginning where it is long', async () => {
  const seenOf = async (line: string) => JSON.parse((await answerBatch([line], 'json')).text).error.message
  expect(await seenOf('x'.repeat(60))).toContain(`The line can't be read as JSON: ${'x'.repeat(60)} (`)
  expect(await seenOf(`y${'x'.repeat(60)}`)).toContain(
    `The line can't be read as JSON: y${'x'.repeat(59)}… (`,
  )
})

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
