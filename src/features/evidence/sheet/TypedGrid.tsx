'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import { useMemo } from 'react'
import { needed } from '@/intake/reading/fieldReader'
import { addColumn, cellsOfBlock, putBlock } from '@/intake/sheet/typedEdit'
import { READINGS_COLUMN } from '@/intake/sheet/typedSheet'
import { QuietButton } from '@/ui/Button'
import { pointed, usePointed } from '@/ui/sample/pointed'
import { useSample } from '@/ui/sample/SampleProvider'
import { Grid } from './Grid'
import { RowToolbar } from './RowToolbar'
import { useTypedCells } from './useTypedCells'

const Editor = chakra('input', {
  base: { width: '100%', height: '100%', border: 0, padding: 0, bg: 'transparent', outline: 'none' },
})

/** A sheet that is typed: arrows move, typing writes, Enter goes down and Tab to the right, a block is pasted, all can be undone. */
export function TypedGrid() {
  const { draft, typed, setFields: change } = useSample()
  const { setAside } = draft
  const columns = draft.columns.length === 0 ? [READINGS_COLUMN] : draft.columns
  const { cells, rowCount, at, active, anchor, edited, setEdited, choose, commit, chosenCells, onKey } =
    useTypedCells(columns.length)
  const pointedRow = usePointed()
  const asideRows = useMemo(() => new Set(setAside.map(({ row }) => row)), [setAside])
  const unread = useMemo(
    () => new Set(typed.unread.map(({ row, column }) => `${row} ${column}`)),
    [typed.unread],
  )
  const isUnread = (row: number, column: number) => unread.has(`${row} ${columns[column]!.name}`)
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
      {typed.unread.length > 0 && <Unread />}
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

/** How many entries are not what their column holds, the first of them, and what would be. */
function Unread() {
  const { draft, typed } = useSample()
  const [first] = typed.unread
  return (
    <Box role="alert" color="finding.contradicted" marginTop="6px">
      {typed.unread.length === 1 ? '1 entry is' : `${typed.unread.length} entries are`} not what the column
      holds, such as “{first!.text.slice(0, 40)}”; {needed(first!, draft.decimalMark)}.
    </Box>
  )
}
