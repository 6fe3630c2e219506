/** A case in a few words: its reference and its subject, as far as they are written. */
export function caseTitle({ reference, subject }: Readonly<{ reference: string; subject: string }>): string {
  return [reference, subject].filter((part) => part.trim() !== '').join(' ') || 'Case without a subject'
}
