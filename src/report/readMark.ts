import { PNG } from 'pngjs'
import type { OfficeMark } from '@/desk/office'
import { failure, type Outcome, success } from '@/claims/terms/outcome'

/** A mark is some centimetres wide: more dots than these no print shows. */
const MAX_DOTS = 2_000_000
const SIGNATURE = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]
/** Of the first chunk, which every PNG file begins with; the last says whether it is interlaced. */
const [WIDTH_AT, HEIGHT_AT, INTERLACE_AT] = [16, 20, 28]
/** A print has no light behind it. */
const WHITE = { red: 255, green: 255, blue: 255 }

/**
 * The picture of an office's mark, written anew with nothing in it but its dots, on white.
 *
 * @param bytes - of a PNG file
 * @returns the problem `mark` where it is none, or has too many dots
 */
export function readMark(bytes: Uint8Array): Outcome<OfficeMark> {
  const file = Buffer.from(bytes)
  if (SIGNATURE.some((byte, at) => file[at] !== byte) || file.length <= INTERLACE_AT)
    return refused('it is no PNG file')
  const [wide, high] = [file.readUInt32BE(WIDTH_AT), file.readUInt32BE(HEIGHT_AT)]
  // Before anything is unpacked: a small file can state a picture beyond all memory.
  if (wide * high === 0 || wide * high > MAX_DOTS)
    return refused(`it has ${wide} × ${high} dots, and at most ${MAX_DOTS / 1_000_000} million are taken`)
  // Of such a file it is not known beforehand how much its dots take.
  if (file[INTERLACE_AT] !== 0) return refused('it is interlaced; save it without that')
  try {
    const read = PNG.sync.read(file)
    const { width, height } = read
    const options = { colorType: 2, inputHasAlpha: true, bgColor: WHITE } as const
    return success({ png: PNG.sync.write(read, options).toString('base64'), width, height })
  } catch (error) {
    return refused(error instanceof Error ? error.message : String(error))
  }
}

const refused = (why: string): Outcome<never> =>
  failure({
    code: 'mark',
    path: '',
    message: `This is no picture that a report can have as its mark: ${why}. Give a PNG file.`,
  })
