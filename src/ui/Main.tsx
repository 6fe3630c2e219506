'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import { usePathname } from 'next/navigation'
import { type ComponentProps, useEffect, useRef } from 'react'

const Frame = chakra('main', { base: { outline: 'none', scrollMarginTop: '60px' } })
let lastPath = ''

/** What a page is about. Whoever comes to it by a link finds the focus here, and not where the link was. */
export function Main(props: ComponentProps<typeof Frame>) {
  const frame = useRef<HTMLElement>(null)
  const path = usePathname()
  useEffect(() => {
    const isOther = lastPath !== '' && lastPath !== path
    lastPath = path
    if (isOther && document.activeElement === document.body) frame.current?.focus({ preventScroll: true })
  }, [path])
  return <Frame ref={frame} id="main" tabIndex={-1} {...props} />
}
