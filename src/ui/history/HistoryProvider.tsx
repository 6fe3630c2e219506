'use client'

import { createContext, type ReactNode, useContext, useEffect, useState, useSyncExternalStore } from 'react'
import { QuietButton } from '../Button'
import { EditHistory } from './EditHistory'

const Context = createContext<EditHistory | null>(null)

/** Undo and redo for every draft of a page, by keyboard too. */
export function HistoryProvider({ children }: Readonly<{ children: ReactNode }>) {
  const [history] = useState(() => new EditHistory())
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return
      const key = event.key.toLowerCase()
      const isRedo = key === 'y' || (key === 'z' && event.shiftKey)
      if (!isRedo && key !== 'z') return
      // A field's own undo knows nothing of what follows from it.
      event.preventDefault()
      if (isRedo) history.redo()
      else history.undo()
    }
    document.addEventListener('keydown', onKeyDown)
    return () => document.removeEventListener('keydown', onKeyDown)
  }, [history])
  return <Context value={history}>{children}</Context>
}

export function useHistory(): EditHistory {
  const history = useContext(Context)
  if (!history) throw new Error('useHistory is for parts of a HistoryProvider')
  return history
}

/** The two steps as buttons. */
export function HistoryButtons() {
  const history = useHistory()
  const state = useSyncExternalStore(history.subscribe, history.state, () => '')
  return (
    <>
      <QuietButton type="button" disabled={!state.includes('undo')} onClick={() => history.undo()}>
        Undo
      </QuietButton>
      <QuietButton type="button" disabled={!state.includes('redo')} onClick={() => history.redo()}>
        Redo
      </QuietButton>
    </>
  )
}
