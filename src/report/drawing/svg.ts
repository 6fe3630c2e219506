import { escapeXml } from './escape'
import type { Drawing, Point, Shape, Stroke } from './drawing'

const FONT = '"IBM Plex Mono", "DejaVu Sans Mono", monospace'

/**
 * A drawing as an SVG element. Every style is an attribute of its own, so that no policy for styles is in its way.
 *
 * @param name - of the picture; absent for one that only repeats what stands beside it
 * @param id - one of a page's own, for what its parts refer to
 */
export function svgOf(drawing: Drawing, id: string, name?: string): string {
  const { width, height, shapes } = drawing
  let clips = 0
  const nextClip = () => `${id}-${(clips += 1)}`
  const role = name === undefined ? 'aria-hidden="true"' : `role="img" aria-label="${escapeXml(name)}"`
  const inside = shapes.map((shape) => shapeOf(shape, nextClip)).join('')
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${round(width)} ${round(height)}" width="${round(width)}" height="${round(height)}" ${role}>${inside}</svg>`
}

function shapeOf(shape: Shape, nextClip: () => string): string {
  switch (shape.is) {
    case 'line': {
      if (shape.points.length === 0) return ''
      const opacity = shape.opacity === undefined ? '' : ` fill-opacity="${shape.opacity}"`
      return `<path d="${pathOf(shape.points, shape.closed)}" fill="${shape.fill ?? 'none'}"${opacity}${strokeOf(shape.stroke)}/>`
    }
    case 'circle': {
      const [x, y] = shape.at
      return `<circle cx="${round(x)}" cy="${round(y)}" r="${round(shape.radius)}" fill="${shape.fill ?? 'none'}"${strokeOf(shape.stroke)}/>`
    }
    case 'text': {
      const [x, y] = shape.at
      return `<text x="${round(x)}" y="${round(y)}" font-family='${FONT}' font-size="${shape.size}" fill="${shape.colour}" text-anchor="${shape.anchor}">${escapeXml(shape.text)}</text>`
    }
    case 'clipped': {
      const id = nextClip()
      const inside = shape.shapes.map((one) => shapeOf(one, nextClip)).join('')
      return `<clipPath id="${id}"><path d="${pathOf(shape.outline, true)}"/></clipPath><g clip-path="url(#${id})">${inside}</g>`
    }
    default:
      return shape satisfies never
  }
}

export function pathOf(points: readonly Point[], closed = false): string {
  const steps = points.map(([x, y], at) => `${at === 0 ? 'M' : 'L'}${round(x)} ${round(y)}`).join('')
  return closed ? `${steps}Z` : steps
}

function strokeOf(stroke: Stroke | undefined): string {
  if (!stroke) return ''
  const dash = stroke.dash ? ` stroke-dasharray="${stroke.dash.join(' ')}"` : ''
  return ` stroke="${stroke.colour}" stroke-width="${stroke.width}"${dash}`
}

const round = (value: number): number => Math.round(value * 100) / 100
