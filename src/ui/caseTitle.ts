/** A case in a few words: its reference and its subject, as far as they are written. */
export function caseTitle({ reference, subject }: Readonly<{ reference: string; subject: string }>): string {
  return [reference, subject].filter((part) => part.trim() !== '').join(' ') || 'Case without a subject'
}

/** The way from the docket to a case, for the head of a page within it. */
export const crumbsOfCase = (id: string, words: Parameters<typeof caseTitle>[0]) => [
  { text: caseTitle(words), href: `/cases/${id}` },
]
