'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import { PageLink } from './PageLink'

/** A link whose look its place decides; it is underlined when pointed at. */
export const TextLink = chakra(PageLink, {
  base: { color: 'inherit', textDecoration: 'none', _hover: { textDecoration: 'underline' } },
})
