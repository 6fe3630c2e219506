import { type CensusResult, isTested } from '@/claims/checkAnswer'
import { type CheckResult } from '@/claims/result'
import { signedIn } from '@/casefile/signedText'
import { intervalWords } from '@/words/en/claimLineWords'
import { CONDITION_NAMES, openConditions, SOURCE_WORDS, unanswered } from '@/words/en/conditionWords'
import { formatCount, formatPValue } from '@/words/figures'
import { estimateSentence } from '@/words/en/estimateWords'
import { effectWords, findingSentence, OUTCOME_WORDS } from '@/words/en/findingWords'
import type { Block } from './document/document'
import type { Writer } from './language'
import { controlFinding } from './controlBlocks'
import { setAsideBlocks } from './sampleBlocks'
import type { ClaimStudy } from './study'

type Checked = NonNullable<ClaimStudy['checked']>

/** The finding in its words, what it does not say, what is in doubt, and who signed it. */
export function findingBlocks(study: ClaimStudy, write: Writer): readonly Block[] {
  const { draft } = study.claim
  const wording = draft.wording.trim() === '' ? 'Its wording is not stated.' : `“${draft.wording}”`
  const stands =
    draft.source.trim() === '' ? 'Where it stands is not stated.' : `It stands in: ${draft.source}.`
  const quote: readonly Block[] = [{ is: 'paragraph', text: `${wording} ${stands}`, look: 'quote' }]
  const { checked, census, control } = study
  if (control)
    return [
      ...controlFinding(control, quote, write),
      ...study.fromTrail.map((text) => ({ is: 'paragraph', text }) as const),
      ...setAsideBlocks(study, write),
      ...remarkBlocks(study),
    ]
  if (census) return censusBlocks(study, census.result.finding, { quote, write })
  const fromTrail = study.fromTrail.map((text) => ({ is: 'paragraph', text }) as const)
  if (!checked) return [...quote, ...openBlocks(study, write), ...fromTrail]
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
  return [
    { is: 'outcome', outcome, words: OUTCOME_WORDS[outcome] },
    ...quote,
    { is: 'paragraph', text: write(sentence), look: 'finding' },
    { is: 'paragraph', text: write(effectWords(shared, display)) },
    { is: 'paragraph', text: write(finding.limits), look: 'quiet' },
    ...fromTrail,
    ...(finding.items ?? []).map((text) => ({ is: 'paragraph', text: write(text) }) as const),
    ...(finding.beside ? [{ is: 'paragraph', text: write(finding.beside) } as const] : []),
    ...(finding.basis ? [{ is: 'paragraph', text: finding.basis } as const] : []),
    ...(open ? [{ is: 'paragraph', text: write(`Conditions that are open: ${open}.`) } as const] : []),
    ...(questions.length > 0
      ? [{ is: 'paragraph', text: `Not answered: ${questions.join(' ')}` } as const]
      : []),
    ...(warnings.length > 0
      ? [{ is: 'list', items: warnings.map(({ message }) => write(message)) } as const]
      : []),
    ...bothResults(study, checked, write),
    ...setAsideBlocks(study, write),
    ...remarkBlocks(study),
  ]
}

/** Which of two sources a sample is; absent where there is one. */
function sourceOf({ samples }: ClaimStudy, at: number): keyof typeof SOURCE_WORDS | undefined {
  if (samples.length < 2) return undefined
  return at === 0 ? 'first' : 'second'
}

/** What a claim comes to for a lot that was measured whole. */
function censusBlocks(
  study: ClaimStudy,
  { outcome, sentence, limits, basis }: CensusResult['finding'],
  { quote, write }: Readonly<{ quote: readonly Block[]; write: Writer }>,
): readonly Block[] {
  return [
    { is: 'outcome', outcome, words: OUTCOME_WORDS[outcome] },
    ...quote,
    { is: 'paragraph', text: write(sentence), look: 'finding' },
    { is: 'paragraph', text: write(limits), look: 'quiet' },
    ...study.fromTrail.map((text) => ({ is: 'paragraph', text }) as const),
    ...(basis ? [{ is: 'paragraph', text: basis } as const] : []),
    ...remarkBlocks(study),
  ]
}

/** What is missing before there can be a finding. */
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

function remarkBlocks({ claim, findings }: ClaimStudy): readonly Block[] {
  const remarks = claim.draft.remarks.trim()
  const signed = findings.map(
    ({ number, signedBy, signedOn, outcome, coreVersion, fingerprint, isCurrent, signedHow, signed }) => {
      const since = isCurrent
        ? 'It is what stands now.'
        : `The claim or its evidence has changed since; what was signed is this: “${signedIn(signed)?.result.finding.sentence ?? ''}” What is reported here is of a later claim and is not signed.`
      return `Signed finding ${number}: ${OUTCOME_WORDS[outcome].toLowerCase()}, by ${signedBy} on ${signedOn}, ${signedHow}, with core ${coreVersion}. ${since} Fingerprint ${fingerprint}.`
    },
  )
  return [
    ...(remarks ? [{ is: 'paragraph', text: `Remarks: ${remarks}` } as const] : []),
    ...(signed.length > 0
      ? [{ is: 'list', items: signed } as const]
      : [{ is: 'paragraph', text: 'This finding is not signed.', look: 'quiet' } as const]),
  ]
}
