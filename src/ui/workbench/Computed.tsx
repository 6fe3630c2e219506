'use client'

import { Box } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { NothingComputed } from './NothingComputed'
import { type Checked, useWorkbench } from './WorkbenchProvider'

/** What can be shown only with a result; an old one is marked as such while the next is being computed. */
export function Computed({ children }: Readonly<{ children: (checked: Checked) => ReactNode }>) {
  const { checked, isStale } = useWorkbench()
  if (!checked) return <NothingComputed />
  return (
    <Box
      aria-busy={isStale || undefined}
      borderLeft={isStale ? '3px dashed' : undefined}
      borderColor={isStale ? 'warning' : undefined}
      paddingLeft={isStale ? '9px' : undefined}
    >
      {isStale && <Box color="warning">Old figures; the new ones are being computed.</Box>}
      {children(checked)}
    </Box>
  )
}
