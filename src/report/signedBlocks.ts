import { contentResultSchema } from '@/claims/checkAnswer'
import { checkResultSchema } from '@/claims/result'
import type { CheckDocument } from '@/claims/terms/request'
import { signedIn } from '@/casefile/signedText'
import type { ClaimDraft } from '@/desk/claimDraft'
import { criterionLines } from '@/words/en/contentWords'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { signedOnWords } from '@/words/en/signatureWords'
import { chosenDecimals, signedLines } from '@/words/en/signedLines'
import { formatSure } from '@/words/figures'
import { criteriaTable } from './controlBlocks'
import type { Block } from './document/document'
import type { Writer } from './language'
import type { ClaimStudy } from './study'

/** A finding as it was signed: its own words as they stand in the text that was signed, its figures and its remarks. */
export function signedBlocks(finding: ClaimStudy['findings'][number], write: Writer): readonly Block[] {
  const { number, signedBy, outcome, coreVersion, fingerprint, signedHow, signed } = finding
  const by = `Signed finding ${number}, by ${signedBy} ${signedOnWords(finding)}, ${signedHow}, with core ${coreVersion}. Fingerprint ${fingerprint}.`
  const read = signedIn(signed)
  const head: readonly Block[] = [
    { is: 'outcome', outcome, words: OUTCOME_WORDS[outcome] },
    { is: 'paragraph', text: by },
  ]
  if (!read) return [...head, { is: 'paragraph', text: 'The text that was signed is not one of a finding.' }]
  const { draft } = read.claim
  const { sentence, limits, items = [], beside, basis } = read.result.finding
  const remarks = draft.remarks.trim()
  return [
    ...head,
    ...quoteOf({ wording: draft.wording ?? '', source: draft.source ?? '' }),
    { is: 'paragraph', text: sentence, look: 'finding' },
    ...[limits, ...items, beside, basis].flatMap((text) =>
      text ? [{ is: 'paragraph', text, look: 'quiet' } as const] : [],
    ),
    ...figuresOf(read, number, write),
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
  if (control.success) return [criteriaTable(criterionLines(control.data.content), write)]
  const tested = checkResultSchema.safeParse(result)
  if (!tested.success) return []
  const decimals = chosenDecimals(claim.draft.decimals)
  const lines = signedLines(document as CheckDocument, tested.data, decimals)
  return [
    {
      is: 'table',
      label: `Figures of signed finding ${number}`,
      heads: ['Figure', 'As shown', 'To ten digits'],
      rows: lines.map(({ name, shown, full = '' }) => {
        // Of a tolerance there are two.
        const sure = full.split(', ').map(formatSure).join(', ')
        return [name, write(shown), write(sure)]
      }),
      numbers: [false, true, true],
    },
  ]
}

/** The claim in its own words, and where it stands. */
export function quoteOf({ wording, source }: Pick<ClaimDraft, 'wording' | 'source'>): readonly Block[] {
  const words = wording.trim() === '' ? 'Its wording is not stated.' : `“${wording}”`
  const stands = source.trim() === '' ? 'Where it stands is not stated.' : `It stands in: ${source}.`
  return [{ is: 'paragraph', text: `${words} ${stands}`, look: 'quote' }]
}
