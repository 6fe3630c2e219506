import { ImageRun, Paragraph } from 'docx'
import type { OfficeMark } from '@/desk/office'
import { MARK_WORDS, sizeOfMark } from './document/mark'
import type { Drawing } from './drawing/drawing'
import { legible } from './drawing/escape'
import { svgOf } from './drawing/svg'
import type { Rasterise } from './rasterise'

const PIXELS_PER_POINT = 96 / 72

/** A picture as vectors, with one of dots that stands in where these can't be shown. */
export async function image(
  drawing: Drawing,
  { title, scale }: Readonly<{ title: string; scale: number }>,
  rasterise: Rasterise,
): Promise<ImageRun> {
  const svg = svgOf(drawing, 'd')
  const png = await rasterise(svg)
  const size = (points: number) => Math.round(points * scale * PIXELS_PER_POINT)
  return new ImageRun({
    type: 'svg',
    data: Buffer.from(svg),
    transformation: { width: size(drawing.width), height: size(drawing.height) },
    fallback: { type: 'png', data: Buffer.from(png) },
    altText: { name: 'picture', title: '', description: legible(title) },
  })
}

/** The mark of an office in a line of its own. */
export function markOf(mark: OfficeMark): Paragraph {
  const { width, height } = sizeOfMark(mark)
  const picture = new ImageRun({
    type: 'png',
    data: Buffer.from(mark.png, 'base64'),
    transformation: { width: width * PIXELS_PER_POINT, height: height * PIXELS_PER_POINT },
    altText: { name: 'mark', title: '', description: MARK_WORDS },
  })
  return new Paragraph({ keepNext: true, children: [picture] })
}
