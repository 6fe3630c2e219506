'use client'

import { Box } from '@chakra-ui/react/box'
import { memo, type ReactNode, useDeferredValue } from 'react'
import { NothingComputed } from './NothingComputed'
import { type Checked, useWorkbench, WorkbenchContext } from './WorkbenchProvider'

type Shown = (checked: Checked) => ReactNode

/**
 * What can be shown only with a result, a moment after it is there: the finding beside the words that are typed goes first.
 * Nothing is typed inside.
 *
 * @param children - must not change from one keystroke to the next, or it is made anew with each
 */
export function Computed({ children }: Readonly<{ children: Shown }>) {
  const workbench = useWorkbench()
  const soon = useDeferredValue(workbench)
  // Old figures are not shown beside a claim that has none.
  if (!workbench.checked) return <NothingComputed />
  return (
    <WorkbenchContext value={soon.checked ? soon : workbench}>
      <AtOnce>{children}</AtOnce>
    </WorkbenchContext>
  )
}

/** What can be shown only with a result, as soon as it is there; an old one is marked while the next is being computed. */
export const AtOnce = memo(function AtOnce({ children }: Readonly<{ children: Shown }>) {
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
})
