'use client'

import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { type Difference, differencesBetween, type VersionLine } from './versions'
import { officerHere } from '../officer'
import { useDraftStore } from './DraftStore'
import type { Saved, SaveState } from './Keeper'
import { Here, type Stored } from './here'
import { untilLeft, useKeeper } from './useKeeper'

export type Saving = Readonly<{
  state: SaveState
  /** Where another window stored something else: in what the two versions differ. */
  differences: readonly Difference[]
  /** Takes what is stored in place of what is typed here, which an undo brings back. */
  takeStored: () => void
  /** Stores what is typed here over what another window stored, which an undo brings back. */
  storeThis: () => void
}>

/**
 * What a page begins with, and goes on from.
 *
 * @param given - what the server gave the page
 */
export function useHere<T>(address: string, given: Stored<T>): Here<T> {
  // What this browser keeps is never read too early.
  const { isShownByServer } = useDraftStore()
  return useState(() => (isShownByServer ? Here.at(address, given) : new Here(given)))[0]
}

/**
 * Stores a draft as it changes, unless another window changed it meanwhile.
 *
 * @param input.address - where it is read and stored
 * @param input.here - what the page began with
 * @param input.words - a draft in words, so that two versions of it can be shown side by side
 * @param input.setDraft - takes a draft in place of the one on the page, so that it can be undone
 */
export function useSaving<T>(
  input: Readonly<{
    draft: T
    address: string
    here: Here<T>
    words: (draft: T) => readonly VersionLine[]
    setDraft: (draft: T) => void
  }>,
): Saving {
  const { draft, setDraft, address, words, here } = input
  const store = useDraftStore()
  const before = useRef<Promise<void>>(undefined)
  const send = useCallback(
    async (changed: T) => {
      // What was typed on pages that were left is stored first: this is typed upon it.
      await before.current
      const change = { draft: changed, revision: here.revision, by: officerHere() }
      const answer = await store.write<Saved & { revision: number }>(address, change)
      if (answer?.ok) here.store(changed, answer.value.revision)
      return answer
    },
    [store, address, here],
  )
  const { isShownByServer } = store
  const { keeper, state } = useKeeper(draft, send, { isShownByServer, isStored: here.isStored })
  useEffect(() => here.type(draft, !keeper.isUnsaved()), [here, draft, keeper])

  const take = useCallback(
    (stored: Stored<T>) => {
      here.take(stored)
      keeper.adopt(stored.draft)
      setDraft(stored.draft)
    },
    [here, keeper, setDraft],
  )
  useEffect(() => {
    before.current = untilLeft()
    const takeNewest = async () => {
      await before.current
      // What this page began with may have been stored by the one that was left.
      if (here.isStored && keeper.isUnsaved()) keeper.adopt(here.draft)
      const stored = await store.read<Stored<T>>(address)
      if (stored?.ok && !keeper.isUnsaved() && stored.value.revision !== here.revision) take(stored.value)
    }
    // The browser's way back may show a page as it was before the last change, and another window may have stored one since.
    void takeNewest()
    const onReturn = () => document.visibilityState === 'visible' && void takeNewest()
    window.addEventListener('focus', onReturn)
    document.addEventListener('visibilitychange', onReturn)
    return () => {
      window.removeEventListener('focus', onReturn)
      document.removeEventListener('visibilitychange', onReturn)
    }
  }, [store, address, here, keeper, take])

  const [other, setOther] = useState<Stored<T>>()
  const isElsewhere = state.kind === 'changed-elsewhere'
  useEffect(() => {
    if (!isElsewhere) return
    void store.read<Stored<T>>(address).then((stored) => stored?.ok && setOther(stored.value))
  }, [store, address, isElsewhere])

  return useMemo(() => {
    const versions = isElsewhere ? other : undefined
    return {
      state,
      differences: versions ? differencesBetween(words(draft), words(versions.draft)) : [],
      takeStored: () => versions && take(versions),
      storeThis: () => {
        if (!versions) return
        here.take(versions)
        here.type(draft, false)
        setDraft(versions.draft)
        setDraft(draft)
        void keeper.resume()
      },
    }
  }, [state, isElsewhere, other, draft, words, keeper, setDraft, here, take])
}
