import type { Chart } from 'chart.js'
import type { Context as SvgContext } from 'svgcanvas'

/** The picture as it is drawn now, as an SVG document whose texts stay texts. */
export async function svgOf(chart: Chart): Promise<string> {
  const { Context } = await import('svgcanvas')
  const { width, height } = chart
  const context = new Context({ width, height, document })
  context.fillText = (text, x, y) => writeText(context, { text, x, y })
  withContext(chart, context as unknown as CanvasRenderingContext2D, () => chart.draw())
  chart.draw()
  return context.getSerializedSvg(true)
}

/** The picture as it is drawn now, on the ground that it stands on. */
export function pngOf(chart: Chart, background: string): Promise<Blob> {
  const { canvas } = chart
  const copy = document.createElement('canvas')
  copy.width = canvas.width
  copy.height = canvas.height
  const context = copy.getContext('2d')!
  context.fillStyle = background
  context.fillRect(0, 0, copy.width, copy.height)
  context.drawImage(canvas, 0, 0)
  return new Promise((resolve, reject) =>
    copy.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error('The picture cannot be made.'))),
      'image/png',
    ),
  )
}

/** Hands a file to whoever asked for it. */
export function save(blob: Blob, name: string): void {
  const address = URL.createObjectURL(blob)
  const link = document.createElement('a')
  link.href = address
  link.download = name
  link.click()
  URL.revokeObjectURL(address)
}

/** Draws on another context: the chart and every axis of it hold their own. */
function withContext(chart: Chart, context: CanvasRenderingContext2D, draw: () => void): void {
  const holders = [chart, ...Object.values(chart.scales)] as { ctx: CanvasRenderingContext2D }[]
  const own = holders.map(({ ctx }) => ctx)
  holders.forEach((holder) => (holder.ctx = context))
  try {
    draw()
  } finally {
    holders.forEach((holder, at) => (holder.ctx = own[at]!))
  }
}

const ANCHORS = { left: 'start', start: 'start', center: 'middle', right: 'end', end: 'end' } as const
const BASELINES: Partial<Record<CanvasTextBaseline, string>> = {
  top: 'text-before-edge',
  hanging: 'hanging',
  middle: 'central',
  bottom: 'text-after-edge',
}

/** Writes a text as the package does, but reads its font where the page's content policy allows it. */
function writeText(
  context: SvgContext,
  { text, x, y }: Readonly<{ text: string; x: number; y: number }>,
): void {
  const { style } = document.createElement('span')
  style.font = context.font
  const attributes = {
    'font-family': style.fontFamily,
    'font-size': style.fontSize,
    'font-style': style.fontStyle,
    'font-weight': style.fontWeight,
    x,
    y,
    'text-anchor': ANCHORS[context.textAlign],
    'dominant-baseline': BASELINES[context.textBaseline] ?? 'alphabetic',
  }
  const parent = context.__closestGroupOrSvg()
  const element = context.__createElement('text', attributes, true)
  element.appendChild(document.createTextNode(text))
  context.__currentElement = element
  context.__applyTransformation(element)
  context.__applyStyleToCurrentElement('fill')
  parent.appendChild(element)
}
