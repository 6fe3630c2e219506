'use client'

import { useCallback, useEffect, useMemo, useRef } from 'react'
import { fetchOutcome, putOutcome } from './fetchOutcome'
import type { Saved, SaveState } from './Keeper'
import { useKeeper } from './useKeeper'

export type Saving = Readonly<{
  state: SaveState
  /** Gives up what is typed here for what is stored. */
  takeStored: () => Promise<void>
  /** Stores what is typed here over what another window stored. */
  storeThis: () => Promise<void>
}>

type Stored<T> = Readonly<{ draft: T; revision: number }>

/**
 * Stores a draft as it changes, unless another window changed it meanwhile.
 *
 * @param input.address - where it is read and stored
 * @param input.more - what is sent beside it; the first one given is kept
 */
export function useSaving<T>(
  input: Stored<T> &
    Readonly<{
      address: string
      setDraft: (draft: T) => void
      more?: () => Readonly<Record<string, unknown>>
    }>,
): Saving {
  const { draft, setDraft, address } = input
  const more = useRef(input.more)
  const revision = useRef(input.revision)
  const send = useCallback(
    async (changed: T) => {
      const answer = await putOutcome<Saved & { revision: number }>(address, {
        draft: changed,
        revision: revision.current,
        ...more.current?.(),
      })
      if (answer?.ok) revision.current = answer.value.revision
      return answer
    },
    [address],
  )
  const { keeper, state } = useKeeper(draft, send)

  useEffect(() => {
    // The browser's way back may show a page as it was before the last change.
    void fetchOutcome<Stored<T>>(address).then((stored) => {
      if (!stored?.ok || keeper.isUnsaved() || stored.value.revision === revision.current) return
      revision.current = stored.value.revision
      keeper.adopt(stored.value.draft)
      setDraft(stored.value.draft)
    })
  }, [address, keeper, setDraft])

  return useMemo(
    () => ({
      state,
      takeStored: async () => {
        const stored = await fetchOutcome<Stored<T>>(address)
        if (!stored?.ok) return
        revision.current = stored.value.revision
        keeper.adopt(stored.value.draft)
        setDraft(stored.value.draft)
      },
      storeThis: async () => {
        const stored = await fetchOutcome<Stored<T>>(address)
        if (!stored?.ok) return
        revision.current = stored.value.revision
        await keeper.resume()
      },
    }),
    [state, address, keeper, setDraft],
  )
}
