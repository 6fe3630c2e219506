'use client'

import Link from 'next/link'
import type { ReactNode } from 'react'
import { Button } from './Button'

/** The one thing that a page is for, where that is another page. */
export function ButtonLink({ href, children }: Readonly<{ href: string; children: ReactNode }>) {
  return (
    <Button asChild>
      <Link href={href}>{children}</Link>
    </Button>
  )
}
