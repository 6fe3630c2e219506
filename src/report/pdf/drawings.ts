import type { Drawing, Shape, Stroke } from '../drawing/drawing'
import { pathOf } from '../drawing/svg'
import type { FontBook } from './fontBook'

/** Draws a picture with its upper left corner at a place, so many times as large. */
export function drawPicture(
  document: PDFKit.PDFDocument,
  fonts: FontBook,
  { shapes }: Drawing,
  place: Readonly<{ x: number; y: number; scale: number }>,
): void {
  document.save().translate(place.x, place.y).scale(place.scale)
  for (const shape of shapes) drawShape(document, fonts, shape)
  document.restore()
}

function drawShape(document: PDFKit.PDFDocument, fonts: FontBook, shape: Shape): void {
  switch (shape.is) {
    case 'line':
      if (shape.points.length === 0) return
      document.path(pathOf(shape.points, shape.closed))
      return paint(document, shape)
    case 'circle':
      document.circle(shape.at[0], shape.at[1], shape.radius)
      return paint(document, shape)
    case 'text': {
      const { runs, width } = fonts.word(shape.text, 'mono')
      const shift = { start: 0, middle: 0.5, end: 1 }[shape.anchor] * width * shape.size
      let x = shape.at[0] - shift
      document.fillColor(shape.colour, 1)
      for (const [at, { font, text, width: wide }] of runs.entries()) {
        document.font(font).fontSize(shape.size)
        // The space that parts it from the next label is read, and not seen.
        document.text(at === runs.length - 1 ? `${text} ` : text, x, shape.at[1], {
          lineBreak: false,
          baseline: 'alphabetic',
        })
        x += wide * shape.size
      }
      return
    }
    case 'clipped':
      document.save()
      document.path(pathOf(shape.outline, true)).clip()
      for (const one of shape.shapes) drawShape(document, fonts, one)
      document.restore()
      return
    default:
      return shape satisfies never
  }
}

type Painted = Readonly<{ stroke?: Stroke; fill?: string; opacity?: number }>

function paint(document: PDFKit.PDFDocument, { stroke, fill, opacity = 1 }: Painted): void {
  if (stroke) {
    document.lineWidth(stroke.width).strokeColor(stroke.colour)
    if (stroke.dash) document.dash(stroke.dash[0]!, { space: stroke.dash[1]! })
    else document.undash()
  }
  if (fill) document.fillColor(fill, opacity)
  if (fill && stroke) document.fillAndStroke()
  else if (fill) document.fill()
  else document.stroke()
}
