import { PNG } from 'pngjs'
import { valueOf } from '@tests/outcome'
import { readMark } from './readMark'

/** A picture of one colour. */
function picture(width: number, height: number, dot: readonly [number, number, number, number]) {
  const png = new PNG({ width, height })
  for (let at = 0; at < png.data.length; at += 1) png.data[at] = dot[at % 4]!
  return png
}
const dotOf = (base64: string) => [...PNG.sync.read(Buffer.from(base64, 'base64')).data.subarray(0, 4)]

test('a mark is its dots on white, whatever else its file holds', () => {
  const file = PNG.sync.write(picture(3, 2, [200, 0, 100, 128]))
  // A text of the file's own, behind its first chunk.
  const words = Buffer.concat([
    file.subarray(0, 33),
    chunk('tEXt', 'Comment\0of somebody'),
    file.subarray(33),
  ])
  const mark = valueOf(readMark(words))
  expect([mark.width, mark.height]).toEqual([3, 2])
  const [red, green, blue, alpha] = dotOf(mark.png)
  expect(alpha).toBe(255)
  expect([red! - 227, green! - 127, blue! - 177].every((off) => Math.abs(off) <= 1)).toBe(true)
  expect(Buffer.from(mark.png, 'base64').includes('somebody')).toBe(false)
  expect(mark).toEqual(valueOf(readMark(file)))
})

function chunk(type: string, text: string): Buffer {
  const body = Buffer.from(`${type}${text}`, 'latin1')
  const made = Buffer.alloc(body.length + 8)
  made.writeUInt32BE(body.length - 4)
  body.copy(made, 4)
  made.writeUInt32BE(crc32(body), body.length + 4)
  return made
}

function crc32(bytes: Uint8Array): number {
  let crc = 0xffffffff
  for (const byte of bytes) {
    crc ^= byte
    for (let bit = 0; bit < 8; bit += 1) crc = (crc >>> 1) ^ (crc & 1 ? 0xedb88320 : 0)
  }
  return (crc ^ 0xffffffff) >>> 0
}

const whole = PNG.sync.write(picture(8, 8, [1, 2, 3, 255]))
const altered = (at: number, byte: number) => Buffer.from(whole).fill(byte, at, at + 1)

test.each<readonly [string, Uint8Array, string]>([
  ['nothing', new Uint8Array(), 'it is no PNG file'],
  ['its beginning alone', whole.subarray(0, 28), 'it is no PNG file'],
  ['another kind of picture', Buffer.from('GIF89a'.padEnd(100)), 'it is no PNG file'],
  ['a file that is cut', whole.subarray(0, 50), 'Give a PNG file'],
  ['a file with a byte altered', altered(45, 0xff), 'Give a PNG file'],
  ['one that is interlaced', altered(28, 1), 'it is interlaced; save it without that'],
  ['no dot', altered(19, 0), 'it has 0 × 8 dots'],
  ['more dots than are taken', altered(16, 1), 'it has 16777224 × 8 dots, and at most 2 million are taken'],
])('%s is refused as a mark', (_, bytes, message) => {
  const problem = { code: 'mark', message: expect.stringContaining(message) }
  expect(readMark(bytes)).toMatchObject({ ok: false, problem })
})

test.each([
  [2000, 1000, true],
  [2000, 1001, false],
])('a picture of %i × %i dots: taken is %s', (width, height, isTaken) => {
  expect(readMark(PNG.sync.write(new PNG({ width, height }))).ok).toBe(isTaken)
})
