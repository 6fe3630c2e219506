'use client'

import { useVirtualizer } from '@tanstack/react-virtual'
import { type KeyboardEvent, useEffect, useId, useMemo, useRef } from 'react'
import { readCodes } from '@/desk/codes'
import type { ShownRow } from '@/workers/sheetWorker'
import { GridHead, type GridSort } from './GridHead'
import { placeAfter } from './gridKeys'
import { Frame, NUMBER_WIDTH, ROW_HEIGHT, SHOWN_ROWS, WIDTHS } from './gridParts'
import { gridRow, type RowLook } from './GridRow'

/** Rows drawn beyond those in view, on each side. */
const OVERSCAN = 12
const SCROLLBAR = 20
const MIN_WIDTH = 420

type GridProps = Omit<RowLook, 'id' | 'meanings'> &
  Readonly<{
    label: string
    rowCount: number
    /** The row at a place in the order shown; undefined while it is not read. */
    rowAt: (place: number) => ShownRow | undefined
    onRange?: (from: number, to: number) => void
    sort?: GridSort | undefined
    onSort?: (name: string) => void
    /** Is asked first; true where it has taken the key. */
    onKey?: (event: KeyboardEvent<HTMLDivElement>) => boolean
    onPaste?: (text: string) => void
    onCopy?: () => string
  }>

/** Rows and columns of cells, of which only those in view are drawn, with an active cell that the arrow keys move. */
export function Grid(props: GridProps) {
  const { label, columns, rowCount, rowAt, active, editor, onPaste, onCopy } = props
  const frame = useRef<HTMLDivElement>(null)
  const id = useId()
  // Its functions change with each scroll, so the compiler leaves this component as it is.
  // eslint-disable-next-line react-hooks/incompatible-library
  const virtual = useVirtualizer({
    count: rowCount,
    getScrollElement: () => frame.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: OVERSCAN,
  })
  const rows = virtual.getVirtualItems()
  const [first, last] = [rows[0]?.index ?? 0, rows.at(-1)?.index ?? 0]
  const { onRange } = props
  useEffect(() => onRange?.(first, last + 1), [first, last, onRange])
  const meanings = useMemo(
    () => columns.map(({ codes }) => new Map(readCodes(codes).map(({ code, meaning }) => [code, meaning]))),
    [columns],
  )
  useFocusAfterEditing(frame, editor !== undefined)
  const width = NUMBER_WIDTH + columns.reduce((sum, { kind }) => sum + WIDTHS[kind], 0)

  const onKeyDown = (event: KeyboardEvent<HTMLDivElement>) => {
    if (props.onKey?.(event)) return event.preventDefault()
    // Every other key belongs to the text that is being typed.
    if (editor) return
    const next = placeAfter(active, event, { rowCount, columnCount: columns.length })
    if (!next) return
    event.preventDefault()
    props.onActive(next, event.shiftKey)
    virtual.scrollToIndex(next.place)
  }
  return (
    <Frame
      ref={frame}
      role="grid"
      aria-label={label}
      aria-rowcount={rowCount + 1}
      aria-colcount={columns.length + 1}
      aria-activedescendant={`${id}-${active.place}-${active.column}`}
      tabIndex={0}
      maxWidth={`${Math.max(width + SCROLLBAR, MIN_WIDTH)}px`}
      height={`${Math.min(SHOWN_ROWS, Math.max(rowCount, 4)) * ROW_HEIGHT + 46}px`}
      onKeyDown={onKeyDown}
      onPaste={(event) => {
        if (!onPaste || editor) return
        event.preventDefault()
        onPaste(event.clipboardData.getData('text/plain'))
      }}
      onCopy={(event) => {
        if (!onCopy || editor) return
        event.preventDefault()
        event.clipboardData.setData('text/plain', onCopy())
      }}
      onMouseLeave={() => props.onPoint(undefined)}
    >
      <div style={{ width: '100%', minWidth: width }}>
        <GridHead columns={columns} sort={props.sort} onSort={props.onSort} />
        <div style={{ height: virtual.getTotalSize(), position: 'relative' }}>
          {rows.map(({ index, start }) =>
            gridRow({ index, start, line: rowAt(index) }, { ...props, id, meanings }),
          )}
        </div>
      </div>
    </Frame>
  )
}

/** Gives the grid the keys again when the field that was typed into is gone, and they with it. */
function useFocusAfterEditing(frame: React.RefObject<HTMLDivElement | null>, isEditing: boolean) {
  const wasEditing = useRef(false)
  useEffect(() => {
    if (wasEditing.current && !isEditing && document.activeElement === document.body) frame.current?.focus()
    wasEditing.current = isEditing
  }, [frame, isEditing])
}
