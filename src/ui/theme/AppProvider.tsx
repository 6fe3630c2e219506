'use client'

import { ChakraProvider } from '@chakra-ui/react/styled-system'
import { ThemeProvider } from 'next-themes'
import type { ReactNode } from 'react'
import { StyleRegistry } from './StyleRegistry'
import { system } from './system'

/** Styles, tokens and the choice of light or dark. The nonce lets their inline tags through the content policy. */
export function AppProvider({ nonce, children }: Readonly<{ nonce: string; children: ReactNode }>) {
  return (
    <StyleRegistry nonce={nonce}>
      <ChakraProvider value={system}>
        <ThemeProvider attribute="class" nonce={nonce}>
          {children}
        </ThemeProvider>
      </ChakraProvider>
    </StyleRegistry>
  )
}
