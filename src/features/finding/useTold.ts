'use client'

import { useEffect, useRef, useState } from 'react'
import type { TrailTold } from '@/desk/trail/told'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { toldNow } from './actions'

/** What a finding has to tell of its trail: as the page was read, and anew whenever something of it was stored since. */
export function useTold(claimId: string, asRead: TrailTold): TrailTold {
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
    void toldNow(claimId).then(
      (told) => isCurrent && setNow(told),
      // A server that is away is told of where things are saved.
      () => undefined,
    )
    return () => {
      isCurrent = false
    }
  }, [claimId, isStored])
  return now
}
