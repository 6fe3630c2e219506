'use client'

import { useSyncExternalStore } from 'react'

const TOKENS = {
  ink: 'ink',
  quiet: 'quiet',
  rule: 'rule',
  accent: 'accent',
  brass: 'brass',
  surface: 'surface',
  page: 'page',
  selection: 'selection',
  rejected: 'finding-contradicted',
} as const
export type Colours = Readonly<Record<keyof typeof TOKENS, string>>

/** The theme is a class of the page's root, set some time after it was chosen. */
function watchRoot(onChange: () => void): () => void {
  const observer = new MutationObserver(onChange)
  observer.observe(document.documentElement, { attributeFilter: ['class'] })
  return () => observer.disconnect()
}

let known: Readonly<{ theme: string; colours: Colours }> | undefined

/** The same object while the theme stays the same. */
function coloursNow(): Colours {
  const theme = document.documentElement.className
  if (known?.theme === theme) return known.colours
  const style = getComputedStyle(document.documentElement)
  const colourOf = (name: string) => style.getPropertyValue(`--chakra-colors-${name}`).trim()
  const colours = Object.fromEntries(
    Object.entries(TOKENS).map(([name, token]) => [name, colourOf(token)]),
  ) as Colours
  known = { theme, colours }
  return colours
}

/** The theme's colours for a canvas, which cannot name tokens itself; undefined until the browser knows them. */
export function useColours(): Colours | undefined {
  return useSyncExternalStore(watchRoot, coloursNow, () => undefined)
}
