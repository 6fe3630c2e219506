'use client'

import { useTransition } from 'react'
import { Button, QuietButton } from './Button'
import { officerHere } from './officer'

/**
 * A button that has the server do something, in the name of whoever works at this browser.
 *
 * @param action - is given that name
 * @param isMain - whether it is the one thing that the page is for
 */
export function ActionButton({
  action,
  isMain = false,
  children,
}: Readonly<{ action: (by: string) => Promise<unknown>; isMain?: boolean; children: string }>) {
  const [isRunning, start] = useTransition()
  const Kind = isMain ? Button : QuietButton
  return (
    <Kind
      type="button"
      disabled={isRunning}
      onClick={() => start(async () => void (await action(officerHere())))}
    >
      {children}
    </Kind>
  )
}
