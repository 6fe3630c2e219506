'use client'

import { useEffect, useRef, useState } from 'react'
import type { ChangedAfter } from '@/desk/trail/changedAfter'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { changedAfterNow } from './actions'

/** What was changed after the readings were in: as the page was read, and anew whenever something of it was stored since. */
export function useChangedAfter(claimId: string, asRead: readonly ChangedAfter[]): readonly ChangedAfter[] {
  const { saving, first, second } = useWorkbench()
  const isStored = [saving, first.sample.saving, second?.sample.saving].every(
    (one) => one === undefined || one.state.kind === 'saved',
  )
  const [now, setNow] = useState(asRead)
  const wasStored = useRef(true)
  useEffect(() => {
    const isNew = isStored && !wasStored.current
    wasStored.current = isStored
    if (!isNew) return
    let isCurrent = true
    void changedAfterNow(claimId).then(
      (changed) => isCurrent && setNow(changed),
      // A server that is away is told of where things are saved.
      () => undefined,
    )
    return () => {
      isCurrent = false
    }
  }, [claimId, isStored])
  return now
}
