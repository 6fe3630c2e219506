'use client'

import { useTheme } from 'next-themes'
import { useSyncExternalStore } from 'react'
import { QuietButton } from './Button'

const never = () => () => {}

/** The theme is known only in the browser, so the server leaves the word out. */
export function ThemeToggle() {
  const { resolvedTheme, setTheme } = useTheme()
  const isInBrowser = useSyncExternalStore(
    never,
    () => true,
    () => false,
  )
  const other = resolvedTheme === 'dark' ? 'light' : 'dark'
  return (
    <QuietButton type="button" onClick={() => setTheme(other)} minWidth="132px">
      {isInBrowser ? `Use ${other} colours` : '\u00a0'}
    </QuietButton>
  )
}
