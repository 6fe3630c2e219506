'use client'

// eslint-disable-next-line no-restricted-syntax -- the one place that it is taken from
import Link from 'next/link'
import type { ComponentProps } from 'react'

/**
 * A link to another page. It asks for nothing before it is followed: every page is made anew for its reader, so that what could be
 * asked for in advance is only its frame, for which the server would have as much to do as for a page.
 */
export function PageLink(props: Omit<ComponentProps<typeof Link>, 'prefetch'>) {
  return <Link {...props} prefetch={false} />
}
