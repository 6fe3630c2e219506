'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import type { ReactNode } from 'react'

const Frame = chakra('div', {
  base: { overflowX: 'auto', maxWidth: '100%', _print: { overflow: 'visible' } },
})

/** Room for what may be wider than the page: it scrolls by itself, by keys too, and the page does not. */
export function WideBox({ label, children }: Readonly<{ label: string; children: ReactNode }>) {
  return (
    <Frame role="region" aria-label={label} tabIndex={0}>
      {children}
    </Frame>
  )
}
