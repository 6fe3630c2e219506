'use client'

import { type RefObject, useEffect, useState } from 'react'
import { flushSync } from 'react-dom'

/** So far beyond the window's edge something counts as seen, so that scrolling comes upon it as it is. */
const AHEAD = '200px'

/** Whether something is in the window, or nearly, or about to be printed. */
export function useIsSeen(place: RefObject<HTMLElement | null>): boolean {
  const [isSeen, setSeen] = useState(true)
  useEffect(() => {
    let isNear = true
    const tell = () => setSeen(isNear)
    const observer = new IntersectionObserver(
      (looks) => {
        isNear = looks.at(-1)!.isIntersecting
        tell()
      },
      { rootMargin: AHEAD },
    )
    observer.observe(place.current!)
    const show = () => flushSync(() => setSeen(true))
    addEventListener('beforeprint', show)
    addEventListener('afterprint', tell)
    return () => {
      observer.disconnect()
      removeEventListener('beforeprint', show)
      removeEventListener('afterprint', tell)
    }
  }, [place])
  return isSeen
}
