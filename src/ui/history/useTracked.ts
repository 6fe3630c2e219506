'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import { useHistory } from './HistoryProvider'

/** Changes a draft; changes of one key that follow each other quickly are undone together. */
export type Change<T> = (key: string, update: (known: T) => T) => void

/**
 * A draft whose changes can be undone.
 *
 * @param owner - tells it from the other drafts of the page
 * @param first - what it is at first
 */
export function useTracked<T>(owner: string, first: T): readonly [T, Change<T>] {
  const history = useHistory()
  const [draft, setDraft] = useState(first)
  const current = useRef(first)
  const set = useCallback((value: T) => {
    current.current = value
    setDraft(value)
  }, [])
  useEffect(() => history.register(owner, set), [history, owner, set])
  const change = useCallback<Change<T>>(
    (key, update) => {
      const before = current.current
      const after = update(before)
      if (Object.is(before, after)) return
      set(after)
      history.record({ owner, key, before, after }, performance.now())
    },
    [history, owner, set],
  )
  return [draft, change]
}
