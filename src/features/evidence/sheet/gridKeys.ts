import { SHOWN_ROWS } from './gridParts'
import type { Place } from './place'

/** The size of a grid, in cells. */
type Size = Readonly<{ rowCount: number; columnCount: number }>
type Pressed = Readonly<{ key: string; ctrlKey: boolean; altKey: boolean }>

/** Where a key leads from the active cell, inside the grid; undefined for a key that moves nothing. */
export function placeAfter(
  { place, column }: Place,
  { key, ctrlKey, altKey }: Pressed,
  { rowCount, columnCount }: Size,
): Place | undefined {
  const moves: Readonly<Record<string, readonly [number, number]>> = {
    ArrowDown: [place + 1, column],
    ArrowUp: [place - 1, column],
    ArrowRight: [place, column + 1],
    ArrowLeft: [place, column - 1],
    PageDown: [place + SHOWN_ROWS, column],
    PageUp: [place - SHOWN_ROWS, column],
    Home: ctrlKey ? [0, 0] : [place, 0],
    End: ctrlKey ? [rowCount - 1, columnCount - 1] : [place, columnCount - 1],
  }
  const move = moves[key]
  if (!move || altKey) return undefined
  return {
    place: Math.max(0, Math.min(rowCount - 1, move[0])),
    column: Math.max(0, Math.min(columnCount - 1, move[1])),
  }
}
