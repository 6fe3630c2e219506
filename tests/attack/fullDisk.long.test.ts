import { mkdtempSync, readdirSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { heldTo, makeWriter, NOTHING, randomFrom, times, writerOn } from './writing'

const DISKS = times(20, 3)
const MEBIBYTE = 1024 * 1024
/** What the database itself takes when it is made, and what is kept free. */
const WITH_TABLES = 190 * MEBIBYTE
const random = randomFrom(20261129)
const newFolder = () => mkdtempSync(path.join(tmpdir(), 'true-weight-full-'))

beforeAll(makeWriter)

test(`a full disk refuses changes at once, in words, ${DISKS} times, and what was confirmed is read`, async () => {
  const folder = newFolder()
  let confirmed = NOTHING
  for (let disk = 0; disk < DISKS; disk += 1) {
    const { lines, code } = await writerOn(folder, {
      faults: {
        armed: 'once-it-speaks',
        // Another program takes all that is left, in the middle of anything.
        fillsAfter: 1 + Math.floor(random() * 400),
        room: WITH_TABLES + random() * 60 * MEBIBYTE,
      },
    })
    expect(code).toBe(0)
    const refused = lines.filter((line) => line.refused !== undefined)
    expect(refused).toHaveLength(3)
    for (const { refused: words, ms } of refused) {
      expect(words).toContain('The disk is full: nothing was changed.')
      expect(ms).toBeLessThan(1000)
    }
    confirmed = heldTo(confirmed, lines)
    // What is read while the disk is full is what was confirmed.
    expect(lines.at(-1)!.read).toBe(confirmed.notes)
  }
}, 600_000)

test('a start on a full disk says so and leaves nothing behind that keeps the next one out', async () => {
  const folder = newFolder()
  const { lines, code } = await writerOn(folder, { faults: { room: 20 * MEBIBYTE } })
  expect([lines, code]).toEqual([[], 1])
  expect(readdirSync(folder).filter((name) => name.startsWith('in-use'))).toEqual([])
  const next = await writerOn(folder, { onLine: ({ notes }, kill) => notes !== undefined && kill() })
  expect(next.lines[0]!.opened).toMatchObject({ holds: true })
}, 60_000)
