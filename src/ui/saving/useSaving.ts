'use client'

import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { type Difference, differencesBetween, type VersionLine } from './versions'
import { officerHere } from '../officer'
import { useDraftStore } from './DraftStore'
import type { Saved, SaveState } from './Keeper'
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

type Stored<T> = Readonly<{ draft: T; revision: number }>

/**
 * Stores a draft as it changes, unless another window changed it meanwhile.
 *
 * @param input.address - where it is read and stored
 * @param input.words - a draft in words, so that two versions of it can be shown side by side
 * @param input.setDraft - takes a draft in place of the one on the page, so that it can be undone
 */
export function useSaving<T>(
  input: Stored<T> &
    Readonly<{
      address: string
      words: (draft: T) => readonly VersionLine[]
      setDraft: (draft: T) => void
    }>,
): Saving {
  const { draft, setDraft, address, words } = input
  const revision = useRef(input.revision)
  const store = useDraftStore()
  const send = useCallback(
    async (changed: T) => {
      const answer = await store.write<Saved & { revision: number }>(address, {
        draft: changed,
        revision: revision.current,
        by: officerHere(),
      })
      if (answer?.ok) revision.current = answer.value.revision
      return answer
    },
    [store, address],
  )
  const { keeper, state } = useKeeper(draft, send, store.isShownByServer)

  useEffect(() => {
    const takeNewest = async () => {
      await untilLeft()
      const stored = await store.read<Stored<T>>(address)
      if (!stored?.ok || keeper.isUnsaved() || stored.value.revision === revision.current) return
      revision.current = stored.value.revision
      keeper.adopt(stored.value.draft)
      setDraft(stored.value.draft)
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
  }, [store, address, keeper, setDraft])

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
      takeStored: () => {
        if (!versions) return
        revision.current = versions.revision
        keeper.adopt(versions.draft)
        setDraft(versions.draft)
      },
      storeThis: () => {
        if (!versions) return
        revision.current = versions.revision
        setDraft(versions.draft)
        setDraft(draft)
        void keeper.resume()
      },
    }
  }, [state, isElsewhere, other, draft, words, keeper, setDraft])
}
