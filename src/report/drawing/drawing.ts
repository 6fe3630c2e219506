/** A vector picture: shapes in a frame, y downwards, in points. It is drawn alike into SVG and PDF. */
export type Drawing = Readonly<{ width: number; height: number; shapes: readonly Shape[] }>

export type Point = readonly [x: number, y: number]

export type Stroke = Readonly<{ colour: string; width: number; dash?: readonly number[] }>

export type Shape =
  | Readonly<{
      is: 'line'
      points: readonly Point[]
      stroke?: Stroke
      fill?: string
      opacity?: number
      closed?: boolean
    }>
  | Readonly<{ is: 'circle'; at: Point; radius: number; stroke?: Stroke; fill?: string }>
  | Readonly<{
      is: 'text'
      at: Point
      text: string
      size: number
      colour: string
      anchor: 'start' | 'middle' | 'end'
    }>
  /** Shapes of which only what lies inside the outline is seen. */
  | Readonly<{ is: 'clipped'; outline: readonly Point[]; shapes: readonly Shape[] }>

/** The colours of paper, which is always light: those of the theme by day (docs/ARCHITECTURE.md, "Report"). */
export const INK = '#1E2A2F'
export const QUIET = '#5B676B'
export const RULE = '#DDD6C7'
const PAPER = '#FFFFFF'
export const ACCENT = '#1F5A57'
export const BRASS = '#8C5F10'
export const FINDING = {
  contradicted: '#A63A1E',
  supported: '#1F6B45',
  undecided: '#5B5A8A',
} as const

/** Of the letters in pictures, IBM Plex Mono: every one of them is so wide, in parts of the size. */
const LETTER_WIDTH = 0.6
export const LABEL_SIZE = 8.5
/** Of the paper round a text. */
const EDGE = 2

export const widthOf = (text: string, size: number): number => [...text].length * size * LETTER_WIDTH

/** A text on a piece of paper of its own, so that no line runs through it; kept inside the frame. */
export function label(
  input: Readonly<{
    text: string
    at: Point
    colour: string
    within: readonly [left: number, right: number]
  }>,
): readonly Shape[] {
  const { text, at, colour, within } = input
  const half = widthOf(text, LABEL_SIZE) / 2 + EDGE
  const x = Math.max(within[0] + half, Math.min(within[1] - half, at[0]))
  const [left, right, top, bottom] = [x - half, x + half, at[1] - 6, at[1] + 6]
  const outline: readonly Point[] = [
    [left, top],
    [right, top],
    [right, bottom],
    [left, bottom],
  ]
  return [
    { is: 'line', points: outline, closed: true, fill: PAPER },
    { is: 'text', at: [x, at[1] + 3], text, size: LABEL_SIZE, colour, anchor: 'middle' },
  ]
}
