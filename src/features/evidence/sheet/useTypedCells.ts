import { type KeyboardEvent, useMemo, useState } from 'react'
import { putBlock, putCell, takeOutRows } from '@/intake/sheet/typedEdit'
import { typedCells } from '@/intake/sheet/typedSheet'
import { useSample } from '@/ui/sample/SampleProvider'
import type { Place } from './place'

/** Empty rows below what is typed, to go on in. */
const SPARE_ROWS = 5

/** The cells of a typed sheet: which is active, which are chosen, what is being typed, and what each key does. */
export function useTypedCells(columnCount: number) {
  const { draft, setFields: change } = useSample()
  const cells = useMemo(() => typedCells(draft), [draft])
  const [active, setActive] = useState<Place>({ place: 0, column: 0 })
  const [anchor, setAnchor] = useState<Place>({ place: 0, column: 0 })
  const [edited, setEdited] = useState<string>()
  const rowCount = cells.length + SPARE_ROWS
  const at = { row: Math.min(active.place, cells.length), column: active.column }

  const choose = (place: Place, isExtending = false) => {
    setActive(place)
    if (!isExtending) setAnchor(place)
  }
  /** From the active cell; to the right of the last column the next row begins. */
  const move = (down: number, right: number, from = active.place) => {
    const column = active.column + right
    if (column >= columnCount) return choose({ place: from + 1, column: 0 })
    if (column < 0) return choose({ place: Math.max(0, from - 1), column: columnCount - 1 })
    choose({ place: Math.max(0, Math.min(rowCount - 1, from + down)), column })
  }
  const commit = (down: number, right: number) => {
    const isChanged = edited !== undefined && edited !== (cells[at.row]?.[at.column] ?? '')
    if (isChanged) change(putCell(draft, at, edited))
    setEdited(undefined)
    if (down !== 0 || right !== 0) move(down, right, at.row)
  }
  const [top, bottom] = [active.place, anchor.place].toSorted((a, b) => a - b) as [number, number]
  const [left, right] = [active.column, anchor.column].toSorted((a, b) => a - b) as [number, number]
  const chosenCells = () => cells.slice(top, bottom + 1).map((row) => row.slice(left, right + 1))
  const clear = () => {
    const isWholeRows = left === 0 && right === columnCount - 1
    if (top >= cells.length) return
    if (isWholeRows && columnCount === 1) return change(takeOutRows(draft, top, bottom))
    const empty = chosenCells().map((row) => row.map(() => ''))
    change(putBlock(draft, { row: top, column: left }, empty))
  }
  const onKey = (event: KeyboardEvent<HTMLDivElement>): boolean => {
    const { key, ctrlKey, metaKey, shiftKey, altKey } = event
    const isCommand = ctrlKey || metaKey
    const back = shiftKey ? -1 : 1
    if (edited !== undefined) {
      if (key === 'Enter') return done(() => commit(back, 0))
      if (key === 'Tab') return done(() => commit(0, back))
      return key === 'Escape' && done(() => setEdited(undefined))
    }
    if (key === 'Enter') return done(() => move(back, 0))
    if (key === 'Tab') {
      // At both ends of the sheet the key goes on to the rest of the page.
      const isEnd = shiftKey ? active.place === 0 && active.column === 0 : active.place >= cells.length
      return !isEnd && done(() => move(0, back))
    }
    if (key === 'Delete' || key === 'Backspace') return done(clear)
    if (key === 'F2') return done(() => setEdited(cells[at.row]?.[at.column] ?? ''))
    const isText = key.length === 1 && !isCommand && !altKey
    return isText && done(() => setEdited(key))
  }
  return { cells, rowCount, at, active, anchor, edited, setEdited, choose, commit, chosenCells, onKey }
}

function done(act: () => void): true {
  act()
  return true
}
