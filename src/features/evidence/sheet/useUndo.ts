'use client'

import { useRef } from 'react'
import type { TypedChange } from '@/intake/sheet/typedEdit'
import { useSample } from '@/ui/sample/SampleProvider'

/** Changes what is typed so that it can be undone, and done again, as often as wanted. */
export function useUndo() {
  const { draft, setFields } = useSample()
  const past = useRef<TypedChange[]>([])
  const future = useRef<TypedChange[]>([])
  const now = (): TypedChange => ({
    readings: draft.readings,
    columns: draft.columns,
    setAside: draft.setAside,
  })
  const step = (from: TypedChange[], to: TypedChange[]) => {
    const next = from.pop()
    if (!next) return
    to.push(now())
    setFields(next)
  }
  return {
    change: (changed: TypedChange) => {
      past.current.push(now())
      future.current = []
      setFields(changed)
    },
    undo: () => step(past.current, future.current),
    redo: () => step(future.current, past.current),
  }
}
