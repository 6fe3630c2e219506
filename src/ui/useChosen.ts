'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useRef, useState } from 'react'

/** Between two letters of a word, and not longer than one waits. */
const PAUSE_MS = 200

/**
 * What of a list is shown, as the page's address holds it. A change shows at once in the controls and a moment later in the
 * list; none is lost to another that is on its way. Where a link led to another choice, that is taken.
 *
 * @param shown - the choice that the page was made for
 * @param addressOf - the address of a choice
 */
export function useChosen<T extends Readonly<{ page: number }>>(
  shown: T,
  addressOf: (choice: T) => string,
): readonly [T, (change: Partial<T>) => void] {
  const router = useRouter()
  const [chosen, setChosen] = useState(shown)
  const latest = useRef(shown)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  /** Addresses that were asked for here, and whose page has not come yet. */
  const asked = useRef(new Set<string>())
  const arrived = useRef(addressOf(shown))
  useEffect(() => {
    const address = addressOf(shown)
    if (address === arrived.current) return
    arrived.current = address
    if (address === addressOf(latest.current)) asked.current.clear()
    else if (!asked.current.delete(address)) {
      clearTimeout(timer.current)
      latest.current = shown
      setChosen(shown)
    }
  }, [shown, addressOf])
  const change = (changed: Partial<T>) => {
    latest.current = { ...latest.current, page: 0, ...changed }
    setChosen(latest.current)
    clearTimeout(timer.current)
    timer.current = setTimeout(() => {
      const address = addressOf(latest.current)
      asked.current.add(address)
      router.replace(address, { scroll: false })
    }, PAUSE_MS)
  }
  return [chosen, change]
}
