'use client'

import { chakra } from '@chakra-ui/react/styled-system'

/** A label above its field. */
export const FieldLabel = chakra('label', {
  base: { display: 'grid', gap: '2px', color: 'quiet', fontSize: '13px' },
})
