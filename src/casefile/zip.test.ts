import { createHash, randomBytes } from 'node:crypto'
import { mkdtempSync, readdirSync, readlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { setTimeout } from 'node:timers/promises'
import { crc32 } from 'node:zlib'
import { strToU8, zipSync } from 'fflate'
import { fromBufferPromise } from 'yauzl'
import { Wrong } from './entries'
import { MAX_UNPACKED, opened, type ZipEntry, zipped } from './zip'

async function packed(...entries: readonly ZipEntry[]): Promise<Uint8Array> {
  const given = (async function* () {
    yield* entries
  })()
  const pieces = []
  for await (const piece of zipped(given)) pieces.push(piece)
  return Buffer.concat(pieces)
}
const entry = (path: string, ...texts: readonly string[]): ZipEntry => ({
  path,
  pieces: texts.map((text) => strToU8(text)),
})
const all = () => true
/** What is said of a file that is unpacked whole. */
async function messageOf(
  bytes: Uint8Array,
  isAllowed: (path: string) => boolean = all,
  limits?: Parameters<typeof opened>[2],
): Promise<string> {
  const archive = await opened(bytes, isAllowed, limits)
  if (!archive.ok) return archive.problem.message
  try {
    for (const path of archive.value.sizes.keys()) await archive.value.unpack(path)
    return 'taken'
  } catch (error) {
    return error instanceof Wrong ? error.message : `thrown: ${String(error)}`
  }
}

test('what is packed in pieces comes back whole', async () => {
  const archive = await opened(await packed(entry('a/b.txt', 'one ', 'two'), entry('empty.txt')), all)
  if (!archive.ok) throw new Error(archive.problem.message)
  const { sizes, unpack } = archive.value
  expect([...sizes]).toEqual([
    ['a/b.txt', 7],
    ['empty.txt', 0],
  ])
  const { bytes, sha256 } = await unpack('a/b.txt')
  expect(Buffer.from(bytes).toString()).toBe('one two')
  expect(sha256).toBe(createHash('sha256').update('one two').digest('hex'))
  expect((await unpack('empty.txt')).bytes).toHaveLength(0)
  await expect(unpack('other.txt')).rejects.toThrow('other.txt is missing.')
})

test('an entry states the check sum of all its pieces, for other programs that unpack it', async () => {
  const zip = await fromBufferPromise(Buffer.from(await packed(entry('a', 'one ', 'two'))))
  const stated = []
  for await (const one of zip.eachEntry()) stated.push(one.crc32)
  expect(stated).toEqual([crc32('one two')])
})

test('what goes wrong while a piece is made is told to whoever packs', async () => {
  const pieces = function* () {
    yield strToU8('one')
    throw new Error('no second piece')
  }
  await expect(packed({ path: 'a', pieces: pieces() })).rejects.toThrow('no second piece')
})

test('whoever stops taking what is packed ends the making of it', async () => {
  let isOver = false
  const pieces = function* () {
    try {
      for (;;) yield randomBytes(1024 * 1024)
    } finally {
      isOver = true
    }
  }
  const given = (async function* () {
    yield { path: 'a', pieces: pieces() }
  })()
  for await (const packedPiece of zipped(given)) if (packedPiece.length > 1000) break
  for (let tries = 0; !isOver && tries < 100; tries += 1) await setTimeout(10)
  expect(isOver).toBe(true)
})

test('a file on the disk is unpacked from there until it is closed, and one that is not there is told', async () => {
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'zip-')), 'a.zip')
  await expect(opened({ file }, all)).rejects.toMatchObject({ code: 'ENOENT' })
  writeFileSync(file, await packed(entry('a', 'x'), entry('b', 'y')))
  const archive = await opened({ file }, all)
  if (!archive.ok) throw new Error(archive.problem.message)
  expect((await archive.value.unpack('b')).bytes).toEqual(strToU8('y'))
  archive.value.close()
  await expect(archive.value.unpack('a')).rejects.toThrow('a is damaged')
  expect(await opened({ file }, (name) => name === 'a')).toMatchObject({ problem: { path: 'b' } })
  expect(await isClosed(file)).toBe(true)
  writeFileSync(file, 'no archive')
  expect(await opened({ file }, all)).toMatchObject({ problem: { code: 'case-file' } })
  expect(await isClosed(file)).toBe(true)
})

/** Whether this process lets go of a file within a second. */
async function isClosed(file: string): Promise<boolean> {
  const own = '/proc/self/fd'
  const isHeld = () =>
    readdirSync(own).some((at) => {
      try {
        return readlinkSync(path.join(own, at)) === file
      } catch {
        return false
      }
    })
  for (let tries = 0; isHeld() && tries < 100; tries += 1) await setTimeout(10)
  return !isHeld()
}

test('the same entries give the same bytes, whenever they are packed', async () => {
  const [one, other] = [await packed(entry('a', 'x')), await packed(entry('a', 'x'))]
  expect(Buffer.compare(one, other)).toBe(0)
})

test('a path that has no place is refused, and named', async () => {
  const bytes = zipSync({ '../../home/.profile': strToU8('x') })
  expect(await messageOf(bytes, (path) => !path.includes('..'))).toContain(
    '“../../home/.profile” has no place',
  )
})

test('an entry that stands in it twice is refused', async () => {
  expect(await messageOf(await packed(entry('a', 'x'), entry('a', 'y')))).toContain('“a” stands in it twice')
})

test('what would fill the memory is refused before it is unpacked', async () => {
  const bytes = zipSync({ a: new Uint8Array(3_000_000), b: new Uint8Array(3_000_000) })
  expect(bytes.length).toBeLessThan(20_000)
  expect(await messageOf(bytes, all, { max: 5_000_000 })).toContain('unpacked it has more than')
  expect(await messageOf(bytes, all, { max: MAX_UNPACKED })).toBe('taken')
})

test('what is packed better than measurements can be is refused where it is large', async () => {
  const zerosOf = (length: number) => packed({ path: 'a', pieces: [new Uint8Array(length)] })
  const zeros = await zerosOf(140_000_000)
  expect(await messageOf(zeros)).toMatch(/unpacked it has \d{3,4} times its size/)
  expect(await messageOf(zeros, all, { isOwn: true })).toBe('taken')
  expect(await messageOf(await zerosOf(100_000_000))).toBe('taken')
})

test('an entry that was damaged is named', async () => {
  const words = Array.from({ length: 5000 }, (_, at) => at.toString(36)).join(' ')
  const bytes = await packed(entry('first.txt', words), entry('second.txt', words))
  bytes.fill(255, bytes.length * 0.75, bytes.length * 0.75 + 200)
  expect(await messageOf(bytes)).toMatch(/second\.txt is damaged \(/)
})

test('bytes that were damaged are refused', async () => {
  const bytes = await packed(entry('a', 'x'.repeat(10_000)))
  expect(await messageOf(bytes.subarray(0, bytes.length - 10))).toMatch(/no ZIP file, or is damaged/)
})

test('an entry with more bytes than it states, or fewer, is refused', async () => {
  for (const stated of [3, 4000]) {
    const bytes = zipSync({ a: strToU8('x'.repeat(2000)) })
    const directory = Buffer.from(bytes).indexOf(Buffer.from([0x50, 0x4b, 1, 2]))
    new DataView(bytes.buffer).setUint32(directory + 24, stated, true)
    expect(await messageOf(bytes)).toMatch(/^a is damaged \(.*bytes/)
  }
})

/** A ZIP file that is a list of so many empty entries, as PKWARE's APPNOTE 6.3 has it: more than 65,535 are counted by ZIP64. */
function listOf(count: number): Buffer {
  const list = Array.from({ length: count }, (_, at) => {
    const name = Buffer.from(String(at))
    const head = Buffer.alloc(46)
    head.writeUInt32LE(0x02014b50, 0)
    head.writeUInt16LE(name.length, 28)
    return Buffer.concat([head, name])
  })
  const size = list.reduce((sum, { length }) => sum + length, 0)
  const [end64, place64, end] = [Buffer.alloc(56), Buffer.alloc(20), Buffer.alloc(22)]
  end64.writeUInt32LE(0x06064b50, 0)
  end64.writeBigUInt64LE(44n, 4)
  for (const at of [24, 32]) end64.writeBigUInt64LE(BigInt(count), at)
  end64.writeBigUInt64LE(BigInt(size), 40)
  place64.writeUInt32LE(0x07064b50, 0)
  place64.writeBigUInt64LE(BigInt(size), 8)
  place64.writeUInt32LE(1, 16)
  end.writeUInt32LE(0x06054b50, 0)
  for (const at of [8, 10]) end.writeUInt16LE(0xffff, at)
  for (const at of [12, 16]) end.writeUInt32LE(0xffffffff, at)
  return Buffer.concat([...list, end64, place64, end])
}

test('a case file of more entries than any has is refused; the office’s own backup may have as many', async () => {
  const more = listOf(100_001)
  expect(await messageOf(more)).toContain('it has more than 100000 entries.')
  const own = await opened(more, all, { isOwn: true })
  expect(own.ok && own.value.sizes.size).toBe(100_001)
})
