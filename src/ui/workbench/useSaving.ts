'use client'

import { useCallback, useEffect, useMemo, useRef } from 'react'
import type { ClaimDraft } from '@/core/claim/draft'
import { fetchOutcome, putOutcome } from '../saving/fetchOutcome'
import type { Saved, SaveState } from '../saving/Keeper'
import { useKeeper } from '../saving/useKeeper'

export type Saving = Readonly<{
  state: SaveState
  /** Gives up what is typed here for what is stored. */
  takeStored: () => Promise<void>
  /** Stores what is typed here over what another window stored. */
  storeThis: () => Promise<void>
}>

type Stored = Readonly<{ draft: ClaimDraft; revision: number }>

/** Stores a claim as it changes, unless another window changed it meanwhile. */
export function useSaving(
  input: Stored & Readonly<{ claimId: string; setDraft: (draft: ClaimDraft) => void }>,
): Saving {
  const { draft, setDraft } = input
  const address = `/api/claims/${input.claimId}`
  const revision = useRef(input.revision)
  const send = useCallback(
    async (changed: ClaimDraft) => {
      const answer = await putOutcome<Saved & { revision: number }>(address, {
        draft: changed,
        revision: revision.current,
      })
      if (answer?.ok) revision.current = answer.value.revision
      return answer
    },
    [address],
  )
  const { keeper, state } = useKeeper(draft, send)

  useEffect(() => {
    // The browser's way back may show a page as it was before the last change.
    void fetchOutcome<Stored>(address).then((stored) => {
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
        const stored = await fetchOutcome<Stored>(address)
        if (!stored?.ok) return
        revision.current = stored.value.revision
        keeper.adopt(stored.value.draft)
        setDraft(stored.value.draft)
      },
      storeThis: async () => {
        const stored = await fetchOutcome<Stored>(address)
        if (!stored?.ok) return
        revision.current = stored.value.revision
        await keeper.resume()
      },
    }),
    [state, address, keeper, setDraft],
  )
}
