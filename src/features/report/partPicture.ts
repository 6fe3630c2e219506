/** As many dots as a print of it needs. */
const SCALE = 2

/**
 * A part of the report as a PNG picture, as it stands on the page.
 *
 * @param css - of the report: a picture knows no styles but those that are in it
 */
export async function partPicture(part: Element, css: string): Promise<Blob> {
  const { width, height } = part.getBoundingClientRect()
  const inside = new XMLSerializer().serializeToString(part)
  const page = `<div xmlns="http://www.w3.org/1999/xhtml"><style>.report{padding:0!important;max-width:none!important}${css}</style><div class="report">${inside}</div></div>`
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><foreignObject width="100%" height="100%">${page}</foreignObject></svg>`
  const image = new Image()
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`
  await image.decode()
  const canvas = document.createElement('canvas')
  canvas.width = Math.ceil(width * SCALE)
  canvas.height = Math.ceil(height * SCALE)
  const context = canvas.getContext('2d')!
  context.fillStyle = 'white'
  context.fillRect(0, 0, canvas.width, canvas.height)
  context.drawImage(image, 0, 0, canvas.width, canvas.height)
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('The picture cannot be made.')))),
  )
}
