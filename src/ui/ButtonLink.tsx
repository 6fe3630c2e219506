'use client'

import type { ReactNode } from 'react'
import { Button, QuietButton } from './Button'
import { PageLink } from './PageLink'

/** The one thing that a page is for, where that is another page; a quiet one is one of several. */
export function ButtonLink({
  href,
  isQuiet = false,
  children,
}: Readonly<{ href: string; isQuiet?: boolean; children: ReactNode }>) {
  const Look = isQuiet ? QuietButton : Button
  return (
    <Look asChild>
      <PageLink href={href}>{children}</PageLink>
    </Look>
  )
}
