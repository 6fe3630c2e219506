import { contentResultSchema } from '@/claims/checkAnswer'
import type { CheckDocument } from '@/claims/terms/request'
import { signedIn } from '@/casefile/signedText'
import { quoteWords } from '@/words/en/claimWords'
import { criterionLines } from '@/words/en/contentWords'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { replacesWords, signedOnWords } from '@/words/en/signatureWords'
import { signedLines } from '@/words/en/signedLines'
import { formatSure } from '@/words/figures'
import { criteriaTable } from './controlBlocks'
import type { Block } from './document/document'
import type { Writer } from './language'
import type { ClaimStudy } from './study'

/** A finding as it was signed: its own words as they stand in the text that was signed, its figures and its remarks. */
export function signedBlocks(finding: ClaimStudy['findings'][number], write: Writer): readonly Block[] {
  const { number, signedBy, outcome, coreVersion, fingerprint, signedHow, signed } = finding
  const read = signedIn(signed)
  const on = signedOnWords({ ...finding, enteredBy: read?.enteredBy })
  const by = `Signed finding ${number}, by ${signedBy} ${on}, ${signedHow}, with core ${coreVersion}. Fingerprint ${fingerprint}.`
  const head: readonly Block[] = [
    { is: 'outcome', outcome, words: OUTCOME_WORDS[outcome] },
    { is: 'paragraph', text: by },
  ]
  if (!read) return [...head, { is: 'paragraph', text: 'The text that was signed is not one of a finding.' }]
  const { replaces } = read
  const { draft } = read.claim
  const { sentence, limits, items = [], beside, basis } = read.result.finding
  const remarks = draft.remarks.trim()
  return [
    ...head,
    { is: 'paragraph', text: quoteWords(draft), look: 'quote' },
    { is: 'paragraph', text: sentence, look: 'finding' },
    ...[limits, ...items, beside, basis].flatMap((text) =>
      text ? [{ is: 'paragraph', text, look: 'quiet' } as const] : [],
    ),
    ...figuresOf(read, number, write),
    ...(replaces ? [{ is: 'paragraph', text: replacesWords(replaces) } as const] : []),
    ...(remarks ? [{ is: 'paragraph', text: `Remarks signed with it: ${remarks}` } as const] : []),
  ]
}

/** The figures of a test, or the criteria of a control, as this core has them; none of another core whose figures are others. */
function figuresOf(
  { claim, document, result }: NonNullable<ReturnType<typeof signedIn>>,
  number: number,
  write: Writer,
): readonly Block[] {
  const control = contentResultSchema.safeParse(result)
  if (control.success) {
    const lines = criterionLines(control.data.content)
    return [criteriaTable(`Criteria of signed finding ${number}`, lines, write)]
  }
  const lines = signedLines(claim.draft, document as CheckDocument, result)
  if (lines.length === 0) return []
  return [
    {
      is: 'table',
      label: `Figures of signed finding ${number}`,
      heads: ['Figure', 'As shown', 'To ten digits'],
      rows: lines.map(({ name, shown, full = '' }) => [name, write(shown), write(formatSure(full))]),
      numbers: [false, true, true],
    },
  ]
}
