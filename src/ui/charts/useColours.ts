'use client'

import { useTheme } from 'next-themes'
import { useMemo, useSyncExternalStore } from 'react'

const NAMES = ['ink', 'quiet', 'rule', 'accent', 'brass', 'surface'] as const
export type Colours = Readonly<Record<(typeof NAMES)[number], string>>

const never = () => () => {}

/** The theme's colours for a canvas, which cannot name tokens itself; undefined until the browser knows them. */
export function useColours(): Colours | undefined {
  const { resolvedTheme } = useTheme()
  const isInBrowser = useSyncExternalStore(
    never,
    () => true,
    () => false,
  )
  return useMemo(() => {
    if (!isInBrowser || !resolvedTheme) return undefined
    const style = getComputedStyle(document.documentElement)
    const colourOf = (name: string) => style.getPropertyValue(`--chakra-colors-${name}`).trim()
    return Object.fromEntries(NAMES.map((name) => [name, colourOf(name)])) as Colours
  }, [isInBrowser, resolvedTheme])
}
