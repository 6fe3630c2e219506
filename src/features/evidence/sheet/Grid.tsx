'use client'

import { chakra } from '@chakra-ui/react'
import { useVirtualizer } from '@tanstack/react-virtual'
import { type KeyboardEvent, type ReactNode, useEffect, useId, useMemo, useRef } from 'react'
import { readCodes } from '@/desk/codes'
import type { ColumnWords } from '@/desk/sampleDraft'
import type { ShownRow } from '@/workers/sheetWorker'
import { isWithin, type Place, type Range } from './place'
import { Frame, Head, HeadButton, NUMBER_WIDTH, ROW_HEIGHT, SHOWN_ROWS, Sub, WIDTHS } from './gridParts'

/** Rows drawn beyond those in view, on each side. */
const OVERSCAN = 12
const SCROLLBAR = 20
const LEAST_WIDTH = 420

/**
 * Rows and columns of cells, of which only those in view are drawn, with an active cell that the arrow keys move.
 *
 * @param rowAt - the row at a place in the order shown; undefined while it is not read
 * @param onKey - is asked first; true where it has taken the key
 */
export function Grid({
  label,
  columns,
  rowCount,
  rowAt,
  onRange,
  active,
  onActive,
  asideRows,
  pointedRow,
  onPoint,
  chosen,
  sort,
  onSort,
  onKey,
  onPaste,
  onCopy,
  isUnread,
  editor,
}: Readonly<{
  label: string
  columns: readonly ColumnWords[]
  rowCount: number
  rowAt: (place: number) => ShownRow | undefined
  onRange?: (from: number, to: number) => void
  active: Place
  onActive: (place: Place, isExtending: boolean) => void
  asideRows: ReadonlySet<number>
  pointedRow: number | undefined
  onPoint: (row: number | undefined) => void
  /** The cells from one place to another, where more than one is chosen. */
  chosen?: Range | undefined
  sort?: Readonly<{ name: string; direction: 'rising' | 'falling' }> | undefined
  onSort?: (name: string) => void
  onKey?: (event: KeyboardEvent<HTMLDivElement>) => boolean
  onPaste?: (text: string) => void
  onCopy?: () => string
  /** Whether a cell is not what its column holds. */
  isUnread?: (row: number, column: number) => boolean
  /** What stands in the active cell while it is edited. */
  editor?: ReactNode
}>) {
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
  useEffect(() => onRange?.(first, last + 1), [first, last, onRange])
  /** What the codes of each column mean. */
  const meanings = useMemo(
    () => columns.map(({ codes }) => new Map(readCodes(codes).map(({ code, meaning }) => [code, meaning]))),
    [columns],
  )
  const isEditing = editor !== undefined
  const wasEditing = useRef(false)
  useEffect(() => {
    // The field that was typed into is gone, and the keys with it.
    if (wasEditing.current && !isEditing && document.activeElement === document.body) frame.current?.focus()
    wasEditing.current = isEditing
  }, [isEditing])
  const width = NUMBER_WIDTH + columns.reduce((sum, { kind }) => sum + WIDTHS[kind], 0)

  const moveTo = (place: number, column: number, isExtending: boolean) => {
    const next = {
      place: Math.max(0, Math.min(rowCount - 1, place)),
      column: Math.max(0, Math.min(columns.length - 1, column)),
    }
    onActive(next, isExtending)
    virtual.scrollToIndex(next.place)
  }
  const onKeyDown = (event: KeyboardEvent<HTMLDivElement>) => {
    if (onKey?.(event)) return event.preventDefault()
    // Every other key belongs to the text that is being typed.
    if (editor) return
    const { place, column } = active
    const moves: Readonly<Record<string, readonly [number, number]>> = {
      ArrowDown: [place + 1, column],
      ArrowUp: [place - 1, column],
      ArrowRight: [place, column + 1],
      ArrowLeft: [place, column - 1],
      PageDown: [place + SHOWN_ROWS, column],
      PageUp: [place - SHOWN_ROWS, column],
      Home: event.ctrlKey ? [0, 0] : [place, 0],
      End: event.ctrlKey ? [rowCount - 1, columns.length - 1] : [place, columns.length - 1],
    }
    const move = moves[event.key]
    if (!move || event.altKey) return
    event.preventDefault()
    moveTo(move[0], move[1], event.shiftKey)
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
      maxWidth={`${Math.max(width + SCROLLBAR, LEAST_WIDTH)}px`}
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
      onMouseLeave={() => onPoint(undefined)}
    >
      <div style={{ width: '100%', minWidth: width }}>
        <chakra.div
          role="row"
          aria-rowindex={1}
          display="flex"
          position="sticky"
          top="0"
          zIndex="2"
          bg="page"
          borderBottom="1px solid"
          borderColor="rule"
          height="44px"
        >
          <div role="columnheader" data-number="" style={{ width: NUMBER_WIDTH }}>
            row
          </div>
          {columns.map(({ name, label: words, unit, kind }) => (
            <Head
              key={name}
              role="columnheader"
              title={words || name}
              aria-sort={
                sort?.name === name ? (sort.direction === 'rising' ? 'ascending' : 'descending') : undefined
              }
              textAlign={kind === 'number' ? 'right' : 'left'}
              style={{ flex: `1 0 ${WIDTHS[kind]}px` }}
            >
              {onSort ? (
                <HeadButton type="button" tabIndex={-1} onClick={() => onSort(name)}>
                  {name}
                  {sort?.name === name && (sort.direction === 'rising' ? ' ↑' : ' ↓')}
                </HeadButton>
              ) : (
                name
              )}
              <Sub>{[words, unit].filter((one) => one !== '').join(', ') || '\u00a0'}</Sub>
            </Head>
          ))}
        </chakra.div>
        <div style={{ height: virtual.getTotalSize(), position: 'relative' }}>
          {rows.map(({ index, start }) => {
            const line = rowAt(index)
            return (
              <div
                data-row=""
                key={index}
                role="row"
                aria-rowindex={index + 2}
                data-aside={line && asideRows.has(line.row) ? '' : undefined}
                data-pointed={line && line.row === pointedRow ? '' : undefined}
                style={{
                  position: 'absolute',
                  top: 0,
                  left: 0,
                  width: '100%',
                  transform: `translateY(${start}px)`,
                }}
                onMouseEnter={() => onPoint(line?.row)}
              >
                <div role="rowheader" data-number="" style={{ width: NUMBER_WIDTH }}>
                  {line ? line.row + 1 : '…'}
                </div>
                {columns.map(({ name, kind }, column) => {
                  const isActive = index === active.place && column === active.column
                  return (
                    <div
                      data-kind={kind}
                      key={name}
                      id={`${id}-${index}-${column}`}
                      role="gridcell"
                      data-active={isActive ? '' : undefined}
                      data-unread={line && isUnread?.(line.row, column) ? '' : undefined}
                      data-chosen={isWithin(chosen, index, column) ? '' : undefined}
                      title={meanings[column]?.get(line?.cells[column] ?? '')}
                      style={{ flex: `1 0 ${WIDTHS[kind]}px` }}
                      onMouseDown={(event) => onActive({ place: index, column }, event.shiftKey)}
                    >
                      {isActive && editor ? editor : (line?.cells[column] ?? '')}
                    </div>
                  )
                })}
              </div>
            )
          })}
        </div>
      </div>
    </Frame>
  )
}
