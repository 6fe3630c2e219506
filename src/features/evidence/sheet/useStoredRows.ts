'use client'

import { useCallback, useMemo, useRef, useState } from 'react'
import type { ShownRow, Sort } from '@/workers/sheetWorker'
import { sheets } from '@/workers/sheets'

/** Rows are read by so many at once. */
const PAGE = 256

type Pages = ReadonlyMap<number, readonly ShownRow[]>

/** The rows of a stored sheet, read as they come into view, in the order that they are sorted in. */
export function useStoredRows(sampleId: string, rowCount: number, names: readonly string[]) {
  const [sort, setSort] = useState<Sort>()
  const shown = useMemo(() => ({ sampleId, rowCount, names, sort }), [sampleId, rowCount, names, sort])
  const [read, setRead] = useState<Readonly<{ of: unknown; pages: Pages }>>({ of: shown, pages: new Map() })
  const [problem, setProblem] = useState<string>()
  const asked = useRef<Readonly<{ of: unknown; pages: Set<number> }>>({ of: shown, pages: new Set() })

  const ask = useCallback(
    async (page: number) => {
      if (asked.current.of !== shown) asked.current = { of: shown, pages: new Set() }
      if (asked.current.pages.has(page)) return
      asked.current.pages.add(page)
      const rows = await sheets().rows(shown, { from: page * PAGE, to: (page + 1) * PAGE })
      if (asked.current.of !== shown) return
      if (!rows.ok) return setProblem(rows.problem.message)
      setRead((known) => ({
        of: shown,
        pages: new Map(known.of === shown ? known.pages : []).set(page, rows.value),
      }))
    },
    [shown],
  )
  const onRange = useCallback(
    (from: number, to: number) => {
      for (let page = Math.floor(from / PAGE); page * PAGE < Math.max(to, 1); page += 1) void ask(page)
    },
    [ask],
  )
  const rowAt = useCallback(
    (place: number) =>
      read.of === shown ? read.pages.get(Math.floor(place / PAGE))?.[place % PAGE] : undefined,
    [read, shown],
  )
  const find = useCallback((text: string) => sheets().find(shown, text), [shown])
  return { rowAt, onRange, sort, setSort, find, problem }
}
