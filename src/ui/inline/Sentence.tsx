'use client'

import { chakra } from '@chakra-ui/react/styled-system'

/** What a page is about, as one sentence whose underlined words are the controls. */
export const Sentence = chakra('h1', {
  base: { fontFamily: 'heading', fontSize: '26px', fontWeight: '400', lineHeight: '1.45' },
})

/** A value and its unit stay on one line. */
export const Together = chakra('span', { base: { whiteSpace: 'nowrap' } })
