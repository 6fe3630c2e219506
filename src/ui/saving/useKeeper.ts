'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import { Keeper, type SaveState, type Send } from './Keeper'

const leaving = new Set<Promise<void>>()

/** Once everything is stored that was typed on pages of this window which were left: what is read before may be without it. */
export async function untilLeft(): Promise<void> {
  await Promise.all(leaving)
}

/**
 * Stores a value as it changes, also when the page is left in the middle of a word.
 *
 * @param send - the first one given is kept
 * @param how.isShownByServer - whether other pages show it, as the server made them
 * @param how.isStored - whether it is stored as it is at first
 */
export function useKeeper<T>(
  value: T,
  send: Send<T>,
  { isShownByServer, isStored }: Readonly<{ isShownByServer: boolean; isStored: boolean }>,
): Readonly<{ keeper: Keeper<T>; state: SaveState }> {
  const router = useRouter()
  const [state, setState] = useState<SaveState>({ kind: isStored ? 'saved' : 'saving' })
  const [keeper] = useState(() => new Keeper({ value, isStored, send, onState: setState }))

  useEffect(() => keeper.change(value), [keeper, value])
  useEffect(() => {
    const leave = () => void keeper.flush()
    const warn = (event: BeforeUnloadEvent) => {
      if (keeper.isUnsaved()) event.preventDefault()
    }
    addEventListener('pagehide', leave)
    addEventListener('beforeunload', warn)
    return () => {
      removeEventListener('pagehide', leave)
      removeEventListener('beforeunload', warn)
      // Pages that were read before the last change was stored would show what was there before.
      const left = keeper.flush().finally(() => leaving.delete(left))
      leaving.add(left)
      void left.then(() => isShownByServer && router.refresh())
    }
  }, [keeper, router, isShownByServer])

  return { keeper, state }
}
