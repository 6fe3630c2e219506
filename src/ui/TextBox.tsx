'use client'

import { chakra } from '@chakra-ui/react/styled-system'

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

/** A box for several lines, as high as they are. */
export const TextArea = chakra('textarea', {
  base: {
    display: 'block',
    width: '100%',
    minHeight: '54px',
    color: 'ink',
    padding: '6px 8px',
    border: '1px solid',
    borderColor: 'edge',
    borderRadius: 'md',
    bg: 'surface',
    resize: 'vertical',
    fieldSizing: 'content',
  },
})
