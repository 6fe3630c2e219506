'use client'

import { Box, chakra, Flex } from '@chakra-ui/react'
import { type KeyboardEvent, useMemo, useState } from 'react'
import { needed } from '@/intake/reading/fieldReader'
import { addColumn, cellsOfBlock, putBlock, putCell, takeOutRows } from '@/intake/sheet/typedEdit'
import { readCell, READINGS_COLUMN, typedCells } from '@/intake/sheet/typedSheet'
import { QuietButton } from '@/ui/Button'
import { pointed, usePointed } from '@/ui/sample/pointed'
import { useSample } from '@/ui/sample/SampleProvider'
import { Grid } from './Grid'
import type { Place } from './place'
import { RowToolbar } from './RowToolbar'

/** Empty rows below what is typed, to go on in. */
const SPARE_ROWS = 5
const Editor = chakra('input', {
  base: { width: '100%', height: '100%', border: 0, padding: 0, bg: 'transparent', outline: 'none' },
})

/** A sheet that is typed: arrows move, typing writes, Enter goes down and Tab to the right, a block is pasted, all can be undone. */
export function TypedGrid() {
  const { draft, typed, setFields: change } = useSample()
  const { setAside } = draft
  const columns = draft.columns.length === 0 ? [READINGS_COLUMN] : draft.columns
  const cells = useMemo(() => typedCells(draft), [draft])
  const [active, setActive] = useState<Place>({ place: 0, column: 0 })
  const [anchor, setAnchor] = useState<Place>({ place: 0, column: 0 })
  const [edited, setEdited] = useState<string>()
  const pointedRow = usePointed()
  const asideRows = useMemo(() => new Set(setAside.map(({ row }) => row)), [setAside])
  const rowCount = cells.length + SPARE_ROWS
  const at = { row: Math.min(active.place, cells.length), column: active.column }

  const choose = (place: Place, isExtending = false) => {
    setActive(place)
    if (!isExtending) setAnchor(place)
  }
  /** From the active cell; to the right of the last column the next row begins. */
  const move = (down: number, right: number, from = active.place) => {
    const column = active.column + right
    if (column >= columns.length) return choose({ place: from + 1, column: 0 })
    if (column < 0) return choose({ place: Math.max(0, from - 1), column: columns.length - 1 })
    choose({ place: Math.max(0, Math.min(rowCount - 1, from + down)), column })
  }
  const commit = (down: number, right: number) => {
    const isChanged = edited !== undefined && edited !== (cells[at.row]?.[at.column] ?? '')
    if (isChanged) change(putCell(draft, at, edited))
    setEdited(undefined)
    if (down !== 0 || right !== 0) move(down, right, at.row)
  }
  const range = {
    top: Math.min(active.place, anchor.place),
    bottom: Math.max(active.place, anchor.place),
    left: Math.min(active.column, anchor.column),
    right: Math.max(active.column, anchor.column),
  }
  const chosenCells = () =>
    cells.slice(range.top, range.bottom + 1).map((row) => row.slice(range.left, range.right + 1))
  const clear = () => {
    const isWholeRows = range.left === 0 && range.right === columns.length - 1
    if (range.top >= cells.length) return
    if (isWholeRows && columns.length === 1) return change(takeOutRows(draft, range.top, range.bottom))
    const empty = chosenCells().map((row) => row.map(() => ''))
    change(putBlock(draft, { row: range.top, column: range.left }, empty))
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
  const isUnread = (row: number, column: number) => {
    const { kind } = columns[column]!
    const text = cells[row]?.[column]?.trim() ?? ''
    return (
      text !== '' && (kind === 'number' || kind === 'date') && !readCell(text, kind, draft.decimalMark).ok
    )
  }
  return (
    <Box>
      <Grid
        label="Sheet"
        columns={columns}
        rowCount={rowCount}
        rowAt={(place) => ({ row: place, cells: cells[place] ?? [] })}
        active={active}
        onActive={(place, isExtending) => {
          if (edited !== undefined) commit(0, 0)
          choose(place, isExtending)
        }}
        asideRows={asideRows}
        pointedRow={pointedRow}
        onPoint={pointed.set}
        chosen={{ from: anchor, to: active }}
        onKey={onKey}
        isUnread={isUnread}
        onPaste={(text) => change(putBlock(draft, at, cellsOfBlock(text)))}
        onCopy={() =>
          chosenCells()
            .map((row) => row.join('\t'))
            .join('\n')
        }
        editor={
          edited === undefined ? undefined : (
            <Editor
              autoFocus
              aria-label="Cell"
              value={edited}
              onChange={(event) => setEdited(event.target.value)}
              onBlur={(event) => {
                // The keys are the grid's; leaving it for another part of the page keeps what was typed.
                if (!event.relatedTarget) return
                commit(0, 0)
              }}
            />
          )
        }
      />
      {typed.unread.length > 0 && (
        <Box role="alert" color="finding.contradicted" marginTop="6px">
          {typed.unread.length === 1 ? '1 entry is' : `${typed.unread.length} entries are`} not what the
          column holds and not counted, such as “{typed.unread[0]!.text.slice(0, 40)}”;{' '}
          {needed(typed.unread[0]!.reason, draft.decimalMark)}.
        </Box>
      )}
      <Flex gap="12px" marginTop="8px" align="center" wrap="wrap">
        <QuietButton type="button" onClick={() => change(addColumn(draft))}>
          Add a column
        </QuietButton>
      </Flex>
      {active.place < cells.length && (
        <RowToolbar
          key={active.place}
          row={active.place}
          shown={cells[active.place]?.[active.column] ?? ''}
        />
      )}
    </Box>
  )
}

function done(act: () => void): true {
  act()
  return true
}
