'use client'

import { useSyncExternalStore } from 'react'

const NEVER = () => () => undefined

/** Whether this is the browser, and not the server that makes the page first. */
export const useIsHere = (): boolean =>
  useSyncExternalStore(
    NEVER,
    () => true,
    () => false,
  )
