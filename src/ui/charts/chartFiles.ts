import type { Chart } from 'chart.js'

/** The picture as it is drawn now, as an SVG document whose texts stay texts. */
export async function svgOf(chart: Chart): Promise<string> {
  const { Context } = await import('svgcanvas')
  const { width, height } = chart
  const context = new Context({ width, height, document })
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
