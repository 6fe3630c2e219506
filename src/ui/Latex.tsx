'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import { useEffect, useRef } from 'react'

const Frame = chakra('span', { base: { '& .katex': { fontSize: '1.08em' } } })

/**
 * A formula. Its parts are made one by one in the browser, because what the server sends may carry no styles of its own.
 *
 * @param text - the same in plain text, for those who do not see it and until it is drawn
 */
export function Latex({ latex, text }: Readonly<{ latex: string; text: string }>) {
  const place = useRef<HTMLSpanElement>(null)
  useEffect(() => {
    let isGone = false
    void import('katex').then(({ default: katex }) => {
      if (isGone || !place.current) return
      katex.render(latex, place.current, { output: 'html', throwOnError: false, strict: 'ignore' })
    })
    return () => {
      isGone = true
    }
  }, [latex])
  return (
    <Frame role="math" aria-label={text}>
      <span ref={place} aria-hidden="true" key={latex}>
        {text}
      </span>
    </Frame>
  )
}
