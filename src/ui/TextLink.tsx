'use client'

import { chakra } from '@chakra-ui/react'
import NextLink from 'next/link'

/** A link whose look its place decides; it is underlined when pointed at. */
export const TextLink = chakra(NextLink, {
  base: { color: 'inherit', textDecoration: 'none', _hover: { textDecoration: 'underline' } },
})
