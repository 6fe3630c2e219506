'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { type ReactNode, useMemo, useState } from 'react'
import { QuietButton } from '@/ui/Button'
import { pointed, usePointed } from '@/ui/sample/pointed'
import { TextBox } from '@/ui/TextBox'
import { useSample } from '@/ui/sample/SampleProvider'
import type { Sort } from '@/workers/sheetWorker'
import { Grid } from './Grid'
import type { Place } from './place'
import { RowToolbar } from './RowToolbar'
import { formatCount } from '@/words/figures'
import { useStoredRows } from './useStoredRows'

/** The sheet of a file, as it was handed in: to look at, to sort and to search, and to set rows aside. */
export function StoredSheet({ rowCount }: Readonly<{ rowCount: number }>) {
  const { id, draft } = useSample()
  const { columns, setAside } = draft
  const names = useColumnNames()
  const { rowAt, onRange, sort, setSort, find, problem } = useStoredRows(id, rowCount, names)
  const [active, setActive] = useState<Place>({ place: 0, column: 0 })
  const [found, setFound] = useState<Readonly<{ text: string; places: Uint32Array; at: number }>>()
  const [text, setText] = useState('')
  const pointedRow = usePointed()
  const asideRows = useMemo(() => new Set(setAside.map(({ row }) => row)), [setAside])
  const line = rowAt(active.place)

  const stepTo = (places: Uint32Array, at: number) => {
    const place = places[at]
    if (place !== undefined) setActive((known) => ({ ...known, place }))
    setFound({ text, places, at })
  }
  const search = async () => {
    if (found?.text === text && found.places.length > 0)
      return stepTo(found.places, (found.at + 1) % found.places.length)
    const read = await find(text)
    if (read.ok) stepTo(read.value, 0)
  }
  return (
    <Box>
      <SheetSearch
        text={text}
        onText={setText}
        found={found?.text === text ? found : undefined}
        onSearch={() => void search()}
      >
        {sort && (
          <QuietButton type="button" onClick={() => setSort(undefined)}>
            Order of the file
          </QuietButton>
        )}
      </SheetSearch>
      {problem && (
        <Box role="alert" color="finding.contradicted">
          {problem}
        </Box>
      )}
      <Grid
        label="Sheet"
        columns={columns}
        rowCount={rowCount}
        rowAt={rowAt}
        onRange={onRange}
        active={active}
        onActive={setActive}
        asideRows={asideRows}
        pointedRow={pointedRow}
        onPoint={pointed.set}
        sort={sort}
        onSort={(name) => {
          setFound(undefined)
          setSort(nextSort(sort, name))
        }}
        onCopy={() => line?.cells[active.column] ?? ''}
      />
      {line && <RowToolbar key={line.row} row={line.row} shown={line.cells[active.column] ?? ''} />}
    </Box>
  )
}

/** The words that are looked for in a sheet, and where they stand. */
function SheetSearch({
  text,
  onText,
  found,
  onSearch,
  children,
}: Readonly<{
  text: string
  onText: (text: string) => void
  found: Readonly<{ places: Uint32Array; at: number }> | undefined
  onSearch: () => void
  children: ReactNode
}>) {
  const isFound = found !== undefined && found.places.length > 0
  return (
    <Flex
      as="form"
      gap="10px"
      align="center"
      marginBottom="8px"
      onSubmit={(event) => {
        event.preventDefault()
        onSearch()
      }}
    >
      <TextBox
        width="220px"
        type="search"
        aria-label="Search the sheet"
        placeholder="search the sheet"
        value={text}
        onChange={(event) => onText(event.target.value)}
      />
      <QuietButton type="submit" disabled={text.trim() === ''}>
        {isFound ? 'Next' : 'Search'}
      </QuietButton>
      <Box role="status" color="quiet">
        {found &&
          (isFound
            ? `${formatCount(found.at + 1)} of ${formatCount(found.places.length)} rows`
            : `“${text}” stands nowhere.`)}
      </Box>
      {children}
    </Flex>
  )
}

/** The same list while the columns keep their names, however often their labels change. */
function useColumnNames(): readonly string[] {
  const { columns } = useSample().draft
  const joined = JSON.stringify(columns.map(({ name }) => name))
  return useMemo(() => JSON.parse(joined) as string[], [joined])
}

function nextSort(sort: Sort | undefined, name: string): Sort | undefined {
  if (sort?.name !== name) return { name, direction: 'rising' }
  return sort.direction === 'rising' ? { name, direction: 'falling' } : undefined
}
