'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import type { Problem } from '@/core/outcome'
import type { SheetFormat } from '@/intake/sheet/format'
import type { OpenedSheet, SheetReply, SheetRequest } from '@/workers/sheetWorker'

export type SheetState =
  | Readonly<{ is: 'none' }>
  | Readonly<{ is: 'reading'; name: string; rows: number; share: number }>
  | Readonly<{ is: 'refused'; name: string; problem: Problem }>
  | Readonly<{ is: 'open'; name: string; opened: OpenedSheet }>

/** What is taken from the open file: the readings, or why there are none. */
export type Taken = Readonly<{ values?: readonly number[]; problem?: Problem }>

type Asked = SheetRequest extends infer R ? (R extends unknown ? Omit<R, 'id'> : never) : never

/** A sheet file, read in a worker so that the page stays usable however large it is. */
export function useSheetFile() {
  const [state, setState] = useState<SheetState>({ is: 'none' })
  const [taken, setTaken] = useState<Taken>({})
  const worker = useRef<Worker | undefined>(undefined)
  const file = useRef<File | undefined>(undefined)
  const lastAsked = useRef(0)

  const close = useCallback(() => {
    worker.current?.terminate()
    worker.current = undefined
    file.current = undefined
    setState({ is: 'none' })
    setTaken({})
  }, [])
  useEffect(() => () => worker.current?.terminate(), [])

  const ask = useCallback((request: Asked) => {
    lastAsked.current += 1
    worker.current?.postMessage({ ...request, id: lastAsked.current })
  }, [])

  const open = useCallback(
    (chosen: File, format?: SheetFormat) => {
      worker.current?.terminate()
      const started = new Worker(new URL('../../workers/sheetWorker.ts', import.meta.url), { type: 'module' })
      worker.current = started
      file.current = chosen
      const { name } = chosen
      setTaken({})
      setState({ is: 'reading', name, rows: 0, share: 0 })
      started.onmessage = ({ data }: MessageEvent<SheetReply>) => {
        // An answer that a later question has overtaken.
        if (data.id !== lastAsked.current) return
        if ('progress' in data) setState({ is: 'reading', name, ...data.progress })
        else if ('taken' in data)
          setTaken(data.taken.ok ? { values: data.taken.value } : { problem: data.taken.problem })
        else if (data.opened.ok) setState({ is: 'open', name, opened: data.opened.value })
        else setState({ is: 'refused', name, problem: data.opened.problem })
      }
      ask({ ask: 'open', file: chosen, format })
    },
    [ask],
  )

  const reopen = useCallback(
    (format: SheetFormat) => {
      if (file.current) open(file.current, format)
    },
    [open],
  )
  const take = useCallback((column: string, where: string) => ask({ ask: 'take', column, where }), [ask])
  return { state, taken, open, reopen, take, close }
}
