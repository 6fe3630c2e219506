'use client'

import { chakra } from '@chakra-ui/react/styled-system'

const shared = {
  display: 'inline-flex',
  alignItems: 'center',
  justifyContent: 'center',
  paddingInline: '12px',
  minHeight: '30px',
  border: '1px solid',
  borderRadius: 'md',
  fontWeight: '600',
  cursor: 'pointer',
  textDecoration: 'none',
  _print: { display: 'none' },
  _disabled: { cursor: 'default', opacity: 0.6 },
} as const

/** The one thing that a page is for. */
export const Button = chakra('button', {
  base: {
    ...shared,
    bg: 'accent',
    color: 'surface',
    borderColor: 'accent',
    _hover: { filter: 'brightness(1.1)' },
  },
})

export const QuietButton = chakra('button', {
  base: {
    ...shared,
    bg: 'transparent',
    color: 'quiet',
    borderColor: 'rule',
    fontWeight: '400',
    _hover: { color: 'ink', borderColor: 'edge' },
  },
})
