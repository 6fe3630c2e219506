'use client'

import { chakra } from '@chakra-ui/react'

/** A box for a text that is no part of a sentence. */
export const TextBox = chakra('input', {
  base: {
    minHeight: '30px',
    paddingInline: '8px',
    border: '1px solid',
    borderColor: 'edge',
    borderRadius: 'md',
    bg: 'surface',
  },
})
