import { differencesIn } from '@/answers/differences'
import { signedIn } from '@/casefile/signedText'
import { type CensusResult, type ClaimAnswer, isTested } from '@/claims/checkAnswer'
import { type CheckResult } from '@/claims/result'
import { CORE_VERSION } from '@/claims/terms/version'
import { canonicalJson } from '@/desk/canonicalJson'
import { intervalWords } from '@/words/en/claimLineWords'
import { quoteWords } from '@/words/en/claimWords'
import { CONDITION_NAMES, openConditions, SOURCE_WORDS, unanswered } from '@/words/en/conditionWords'
import { formatCount, formatPValue } from '@/words/figures'
import { estimateSentence } from '@/words/en/estimateWords'
import { effectWords, findingSentence, OUTCOME_WORDS } from '@/words/en/findingWords'
import type { Block } from './document/document'
import type { Writer } from './language'
import { controlFinding } from './controlBlocks'
import { setAsideBlocks } from './sampleBlocks'
import { signedBlocks } from './signedBlocks'
import type { ClaimStudy } from './study'

type Checked = NonNullable<ClaimStudy['checked']>

/**
 * What was signed of a claim first, as it was signed; then the finding as it stands where that is another, what it does not
 * say and what is in doubt.
 */
export function findingBlocks(study: ClaimStudy, write: Writer): readonly Block[] {
  const { said, beside } = foundNow(study, write)
  const remarks = study.claim.draft.remarks.trim()
  const own: readonly Block[] = remarks ? [{ is: 'paragraph', text: `Remarks: ${remarks}` }] : []
  const rest = [...beside, ...setAsideBlocks(study, write)]
  const signed = study.findings.toReversed().flatMap((finding) => signedBlocks(finding, write))
  if (signed.length === 0) return [...said, ...rest, ...own, ...(isFound(study) ? [NOT_SIGNED] : [])]
  const current = study.findings.findLast(({ isCurrent }) => isCurrent)
  if (!current) return [...signed, { is: 'paragraph', text: CHANGED_SINCE }, ...said, ...rest, ...own]
  const { number } = current
  const stands = `What stands now is what signed finding ${number} says${anewBy(current)}. What follows is what it rests on.`
  if (comesToTheSame(study, current)) return [...signed, { is: 'paragraph', text: stands }, ...rest]
  const anew = `The claim, its evidence and the remarks are those of signed finding ${number}. Computed anew with core ${CORE_VERSION} they come to this, which is not signed:`
  return [...signed, { is: 'paragraph', text: anew }, ...said, ...rest]
}

/** Whether this core comes to the finding and the figures that were signed, whichever core they are of; conditions are told in its own words. */
function comesToTheSame(
  { checked, census, control }: ClaimStudy,
  { signed }: ClaimStudy['findings'][number],
): boolean {
  const before = signedIn(signed)?.result
  const now = (checked ?? census ?? control)?.result
  if (!before || !now || canonicalJson(before.finding) !== canonicalJson(now.finding)) return false
  return differencesIn(before as unknown as ClaimAnswer, now).length === 0
}

const anewBy = ({ coreVersion }: ClaimStudy['findings'][number]) =>
  coreVersion === CORE_VERSION
    ? ''
    : `, and core ${CORE_VERSION} finds it too, word for word and by the same figures of the test`

const isFound = ({ checked, census, control }: ClaimStudy) => (checked ?? census ?? control) !== undefined

const NOT_SIGNED: Block = { is: 'paragraph', text: 'This finding is not signed.', look: 'quiet' }
const CHANGED_SINCE =
  'The claim, its evidence or the remarks have changed since. What follows is of the claim as it stands now, and is not signed:'

/** One signed finding, and what has to be known with it; the finding anew where another core makes it. */
export function oneSigned(study: ClaimStudy, finding: ClaimStudy['findings'][number], write: Writer) {
  const { said, beside } = foundNow(study, write)
  const isSame = comesToTheSame(study, finding)
  const anew = isSame
    ? `What follows was computed anew from what was signed, with core ${CORE_VERSION}, which comes to the same finding, word for word, by the same figures of the test.`
    : `Computed anew with core ${CORE_VERSION}, what was signed comes to this, which is not signed:`
  return [
    ...signedBlocks(finding, write),
    { is: 'paragraph', text: anew, look: 'quiet' } as const,
    ...(isSame ? [] : said),
    ...beside,
    ...setAsideBlocks(study, write),
  ]
}

/** What a claim comes to now: in its words, and what has to be known with them. */
function foundNow(
  study: ClaimStudy,
  write: Writer,
): Readonly<{ said: readonly Block[]; beside: readonly Block[] }> {
  const { draft } = study.claim
  const quote: readonly Block[] = [{ is: 'paragraph', text: quoteWords(draft), look: 'quote' }]
  const { checked, census, control } = study
  const fromTrail = study.fromTrail.map((text) => ({ is: 'paragraph', text }) as const)
  if (control) {
    const { said, beside } = controlFinding(control, quote, write)
    return { said, beside: [...fromTrail, ...beside] }
  }
  if (census) return { said: censusBlocks(census.result.finding, quote, write), beside: fromTrail }
  if (!checked) return { said: [...quote, ...openBlocks(study, write)], beside: fromTrail }
  const { document, result } = checked
  const { finding, test, estimate, sample, interval, conditions, warnings } = result
  const { outcome } = finding
  const shared = { outcome, claim: document.claim, estimate, interval }
  const { display } = study.formats
  const sentence = findingSentence({
    ...shared,
    significanceLevel: test.significanceLevel,
    sample,
    display,
  })
  const open = openConditions(conditions)
  const questions = [
    ...new Set(study.samples.flatMap((one, at) => unanswered(one.draft, sourceOf(study, at)))),
  ]
  return {
    said: [
      { is: 'outcome', outcome, words: OUTCOME_WORDS[outcome] },
      ...quote,
      { is: 'paragraph', text: write(sentence), look: 'finding' },
      { is: 'paragraph', text: write(effectWords(shared, display)) },
      { is: 'paragraph', text: write(finding.limits), look: 'quiet' },
      ...(finding.items ?? []).map((text) => ({ is: 'paragraph', text: write(text) }) as const),
      ...(finding.beside ? [{ is: 'paragraph', text: write(finding.beside) } as const] : []),
      ...(finding.basis ? [{ is: 'paragraph', text: finding.basis } as const] : []),
    ],
    beside: [
      ...fromTrail,
      ...(open ? [{ is: 'paragraph', text: write(`Conditions that are open: ${open}.`) } as const] : []),
      ...(questions.length > 0
        ? [{ is: 'paragraph', text: `Not answered: ${questions.join(' ')}` } as const]
        : []),
      ...(warnings.length > 0
        ? [{ is: 'list', items: warnings.map(({ message }) => write(message)) } as const]
        : []),
      ...bothResults(study, checked, write),
    ],
  }
}

/** Which of two sources a sample is; absent where there is one. */
function sourceOf({ samples }: ClaimStudy, at: number): keyof typeof SOURCE_WORDS | undefined {
  if (samples.length < 2) return undefined
  return at === 0 ? 'first' : 'second'
}

/** What a claim comes to for a lot that was measured whole. */
function censusBlocks(
  { outcome, sentence, limits, basis }: CensusResult['finding'],
  quote: readonly Block[],
  write: Writer,
): readonly Block[] {
  return [
    { is: 'outcome', outcome, words: OUTCOME_WORDS[outcome] },
    ...quote,
    { is: 'paragraph', text: write(sentence), look: 'finding' },
    { is: 'paragraph', text: write(limits), look: 'quiet' },
    ...(basis ? [{ is: 'paragraph', text: basis } as const] : []),
  ]
}

/** What is estimated while a claim has no value, and what that rests on. */
function estimateBlocks({ claim, reading, estimated, formats }: ClaimStudy, write: Writer): readonly Block[] {
  if (!estimated) return []
  const { parameter, quantity, unit } = claim.draft
  const subject = { parameter, quantity, unit, limit: reading.estimate?.estimate.limit }
  return [
    { is: 'paragraph', text: write(estimateSentence(subject, estimated, formats.display)) },
    {
      is: 'list',
      items: estimated.conditions.map(({ name, sentence }) => write(`${CONDITION_NAMES[name]}: ${sentence}`)),
    },
  ]
}

/** What is missing before there can be a finding. */
function openBlocks(study: ClaimStudy, write: Writer): readonly Block[] {
  const { reading, refusal } = study
  const items = [...reading.missing, ...reading.problems].map(({ message }) => write(message))
  const why = refusal === undefined ? items : [...items, write(refusal)]
  return [
    { is: 'outcome', outcome: 'open', words: OUTCOME_WORDS.open },
    { is: 'paragraph', text: 'There is no finding yet:' },
    { is: 'list', items: why },
    ...estimateBlocks(study, write),
  ]
}

/** Where readings are set aside, the finding shows what it is without them and with them. */
function bothResults({ formats }: ClaimStudy, { result, whole }: Checked, write: Writer): readonly Block[] {
  if (!whole) return []
  if (!isTested(whole))
    return [{ is: 'paragraph', text: write(`With everything that is set aside: ${whole.finding.sentence}`) }]
  const row = (name: string, { finding, sample, estimate, test, interval }: CheckResult) =>
    [
      name,
      OUTCOME_WORDS[finding.outcome],
      formatCount(sample.n),
      formats.inUnit(estimate.value),
      formatPValue(test.pValue, test.significanceLevel),
      interval ? intervalWords(interval, formats.display).replace(' interval', '') : '',
    ].map(write)
  return [
    {
      is: 'table',
      label: 'Both results',
      heads: ['Both results', 'Finding', 'Tested', 'Estimate', 'p-value', 'Interval'],
      rows: [row('Without what is set aside', result), row('With everything', whole)],
      numbers: [false, false, true, true, true, true],
    },
  ]
}
