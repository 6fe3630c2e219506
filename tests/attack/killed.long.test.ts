import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { heldTo, makeWriter, NOTHING, randomFrom, times, writerOn } from './writing'

const TIMES = times(50, 8)
const LONGEST_MS = 1000
const random = randomFrom(20261125)

beforeAll(makeWriter)

test(`nothing that was confirmed is lost when the process is killed ${TIMES} times in the middle of writing`, async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-killed-'))
  let confirmed = NOTHING
  let writes = 0
  for (let time = 0; time < TIMES; time += 1) {
    const { lines } = await writerOn(folder, {
      onLine: ({ opened }, kill) => opened && setTimeout(kill, random() * LONGEST_MS),
    })
    confirmed = heldTo(confirmed, lines)
    writes += lines.length - 1
  }
  expect(writes).toBeGreaterThan(TIMES)
}, 300_000)
