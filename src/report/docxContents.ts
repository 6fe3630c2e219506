import { TableOfContents } from 'docx'
import type { Part } from './document/document'
import { legible } from './drawing/escape'

/** A report of more parts than these has contents. */
const FEW_PARTS = 6

/**
 * What is to follow, each a link to where it begins; none for a report of few parts. On which page that is only the program that
 * opens the file knows: it puts the numbers there when it makes the contents anew.
 */
export function contentsOf(parts: readonly Part[]): readonly TableOfContents[] {
  const listed = parts.flatMap(({ title, level }, at) =>
    at > 0 && level === 2 ? [{ title: legible(title), level: 1, href: anchorOf(at) }] : [],
  )
  const options = { hyperlink: true, headingStyleRange: '2-2', cachedEntries: listed }
  return listed.length > FEW_PARTS ? [new TableOfContents('Contents', options)] : []
}

/** By the name that office programs give to what contents lead to. */
export const anchorOf = (at: number) => `_Toc${String(at).padStart(8, '0')}`
