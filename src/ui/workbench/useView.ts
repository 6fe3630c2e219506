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
  const show = useCallback(
    (word: T) => {
      const address = new URL(location.href)
      if (word === usual) address.searchParams.delete(name)
      else address.searchParams.set(name, word)
      history.pushState(null, '', address)
    },
    [name, usual],
  )
  return [shown, show]
}
