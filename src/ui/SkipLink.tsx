'use client'

import { chakra } from '@chakra-ui/react/styled-system'

const Link = chakra('a', {
  base: {
    position: 'absolute',
    left: '12px',
    top: '-60px',
    zIndex: 10,
    padding: '6px 12px',
    bg: 'surface',
    border: '2px solid',
    borderColor: 'accent',
    borderRadius: 'md',
    _focus: { top: '6px' },
    _print: { display: 'none' },
  },
})

/** The first thing that Tab comes to: past the head of the page. */
export const SkipLink = () => <Link href="#main">Skip to the content</Link>
