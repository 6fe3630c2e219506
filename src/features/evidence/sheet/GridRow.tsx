'use client'

import type { ReactNode } from 'react'
import type { ColumnWords } from '@/desk/sampleDraft'
import type { ShownRow } from '@/workers/sheetWorker'
import { NUMBER_WIDTH, WIDTHS } from './gridParts'
import { isWithin, type Place, type Range } from './place'

/** What every row of a grid is drawn with. */
export type RowLook = Readonly<{
  id: string
  columns: readonly ColumnWords[]
  /** What the codes of each column mean. */
  meanings: readonly ReadonlyMap<string, string>[]
  active: Place
  onActive: (place: Place, isExtending: boolean) => void
  asideRows: ReadonlySet<number>
  pointedRow: number | undefined
  onPoint: (row: number | undefined) => void
  /** The cells from one place to another, where more than one is chosen. */
  chosen?: Range | undefined
  /** Whether a cell is not what its column holds. */
  isUnread?: ((row: number, column: number) => boolean) | undefined
  /** What stands in the active cell while it is edited. */
  editor?: ReactNode
}>

/**
 * A row of cells, at its place among all of them. Called as a function and not placed as an element, since hundreds are drawn
 * at each step of a scroll.
 *
 * @param line - absent while it is not read
 */
export function gridRow(
  { index, start, line }: Readonly<{ index: number; start: number; line: ShownRow | undefined }>,
  look: RowLook,
): ReactNode {
  const { id, columns, meanings, active, onActive, asideRows, pointedRow, onPoint, chosen, editor } = look
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
            data-unread={line && look.isUnread?.(line.row, column) ? '' : undefined}
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
}
