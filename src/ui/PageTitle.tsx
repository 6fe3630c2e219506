'use client'

import { chakra } from '@chakra-ui/react/styled-system'

export const PageTitle = chakra('h1', {
  base: { fontFamily: 'heading', fontSize: '28px', fontWeight: '600', lineHeight: '1.3' },
})
