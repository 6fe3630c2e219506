'use client'

import createCache, { type EmotionCache } from '@emotion/cache'
import { CacheProvider } from '@emotion/react'
import { useServerInsertedHTML } from 'next/navigation'
import { type ReactNode, useState } from 'react'

type Registry = Readonly<{ cache: EmotionCache; takeNew: () => readonly string[] }>

/** Sends the style rules that the server rendered along with the page, so that the browser starts from the same ones. */
export function StyleRegistry({ nonce, children }: Readonly<{ nonce: string; children: ReactNode }>) {
  const [{ cache, takeNew }] = useState(() => createRegistry(nonce))
  useServerInsertedHTML(() => {
    const names = takeNew()
    if (names.length === 0) return null
    const rules = names.map((name) => ended(cache.inserted[name] as string)).join('')
    return (
      <style
        key={cache.key}
        nonce={nonce}
        data-emotion={`${cache.key} ${names.join(' ')}`}
        dangerouslySetInnerHTML={{ __html: rules }}
      />
    )
  })
  return <CacheProvider value={cache}>{children}</CacheProvider>
}

/** A layer without rules comes without its end too, and the browser would take the layer behind it for a part of its name. */
const ended = (rules: string) => rules.replaceAll(/@layer [\w-]+(?=@|$)/g, '$&;')

function createRegistry(nonce: string): Registry {
  const cache = createCache({ key: 'tw', nonce })
  cache.compat = true
  let names: string[] = []
  const insert = cache.insert
  cache.insert = (...parts) => {
    const [, { name }] = parts
    if (cache.inserted[name] === undefined) names.push(name)
    return insert(...parts)
  }
  const takeNew = () => {
    const taken = names
    names = []
    return taken.filter((name) => typeof cache.inserted[name] === 'string')
  }
  return { cache, takeNew }
}
