'use client'

import { chakra } from '@chakra-ui/react/styled-system'

/** A link to a file: not one between pages, which are fetched before anybody follows them. */
export const DownloadLink = chakra(
  'a',
  {
    base: { color: 'accent', textDecoration: 'none', _hover: { textDecoration: 'underline' } },
  },
  { defaultProps: { download: true } },
)
