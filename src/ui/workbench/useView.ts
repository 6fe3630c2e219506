'use client'

import { useSearchParams } from 'next/navigation'
import { useCallback } from 'react'

/**
 * One word of how a page is looked at, kept in its address, so that back, forward and a link find it again.
 *
 * @param name - of the word in the address
 * @param words - those that it may be; the first is the usual one, which the address leaves out
 */
export function useView<T extends string>(
  name: string,
  words: readonly [T, ...T[]],
): readonly [T, (word: T) => void] {
  const stated = useSearchParams().get(name)
  const shown = words.find((word) => word === stated) ?? words[0]
  const [usual] = words
  const show = useCallback((word: T) => put('pushState', name, word === usual ? '' : word), [name, usual])
  return [shown, show]
}

/**
 * The same for a number. Moving it is no step that the way back would take.
 *
 * @param range - its ends, and the usual one, which the address leaves out
 */
export function useViewNumber(
  name: string,
  range: Readonly<{ min: number; max: number; usual: number }>,
): readonly [number, (value: number) => void] {
  const { min, max, usual } = range
  const stated = Number(useSearchParams().get(name) ?? usual)
  const shown = stated >= min && stated <= max ? stated : usual
  const show = useCallback(
    (value: number) => put('replaceState', name, value === usual ? '' : String(value)),
    [name, usual],
  )
  return [shown, show]
}

/** Puts a word into the address, or takes it out where it is empty. */
function put(how: 'pushState' | 'replaceState', name: string, word: string): void {
  const address = new URL(location.href)
  if (word === '') address.searchParams.delete(name)
  else address.searchParams.set(name, word)
  history[how](null, '', address)
}
