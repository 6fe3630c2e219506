import { AT_ONCE, type Computing } from '@/answers/computing'
import type { CaseContent } from '@/casefile/content'
import { verifyRecord } from '@/casefile/follows'
import { sealsOf } from '@/casefile/followsSeals'
import type { RecordVerdict } from '@/casefile/verdict'
import { CORE_VERSION } from '@/claims/terms/version'
import { claimTitle } from '@/words/en/claimTitle'
import { formatCount } from '@/words/figures'
import { methodOf } from '@/claims/all'
import { planSource } from '@/words/en/contentWords'
import { type ControlPlan, R87 } from '@/claims/terms/controlPlan'
import { ADJUSTMENT_SOURCES, ADJUSTMENT_WORDS, BETWEEN_SOURCE } from '@/words/en/groupsWords'
import { METHOD_WORDS } from '@/words/en/methods'
import { CONDITION_NAMES } from '@/words/en/conditionWords'
import { sealWords } from '@/words/en/sealWords'
import { CONDITION_SOURCES } from '@/words/en/sources'
import { instantWords } from '@/words/en/trailWords'
import { claimParts } from './claimParts'
import type { Block, Part, Report } from './document/document'
import { latexIn, type Writer, writerFor } from './language'
import type { Seal } from '@/desk/trail/seal'
import type { RegisteredKey } from '@/desk/trail/keyRegister'
import type { ReportOptions } from '@/desk/reportOptions'
import { type ClaimStudy, studyClaims } from './study'
import { simultaneousPart, summaryPart } from './summaryParts'

/** By whom checks are made, and the register that signatures are held against; absent where there is none to hand. */
export type ReportMeans = Readonly<{
  computing?: Computing
  keys?: readonly RegisteredKey[] | undefined
}>

/**
 * The report of a case: everything that a finding rests on, computed anew from the case's own content. The same content and
 * options give the same report, wherever it is made.
 */
export async function reportOf(
  whole: CaseContent,
  options: ReportOptions,
  { computing = AT_ONCE, keys }: ReportMeans = {},
): Promise<Report> {
  // What is discarded is in the case's file and on its trail, and no part of what is reported.
  const content = { ...whole, claims: whole.claims.filter(({ draft }) => !draft.isDiscarded) }
  const isExamined = options.parts.includes('cross-examination')
  const [studies, record] = await Promise.all([
    studyClaims(content, { decimals: options.decimals, isExamined, computing, keys }),
    verifyRecord(whole, computing),
  ])
  const last = (await sealsOf(whole)).at(-1)
  const write = writerFor(options.language, verbatimOf(content))
  const has = (name: ReportOptions['parts'][number]) => options.parts.includes(name)
  const { reference, subject, updatedAt } = content.case
  const title =
    [reference, subject].filter((part) => part.trim() !== '').join(' ') || 'Case without a subject'
  const asOf = `as of ${instantWords(updatedAt)}, entry ${write(formatCount(content.head.length))} of the trail`
  return {
    title,
    asOf,
    madeAt: new Date(updatedAt),
    parts: [
      ...(has('cover')
        ? [coverPart(content, title, asOf)]
        : [{ id: 'cover', title, level: 1, blocks: [] } as const]),
      ...recordPart(record),
      ...(has('summary') ? [summaryPart(studies, write)] : []),
      ...(has('simultaneous-intervals') ? simultaneousPart(studies, write) : []),
      ...studies.flatMap((study) => claimParts(study, options, write)),
      ...(has('working') ? studies.flatMap((study) => workingPart(study, options, write)) : []),
      ...(has('sources') ? [sourcesPart(content, studies, last?.seal)] : []),
    ],
  }
}

/** What people wrote: it stays as it is in whatever sentence it stands. */
const planTexts = ({ name, source }: ControlPlan) => [name, source]

function verbatimOf({ claims, samples }: CaseContent): readonly string[] {
  return [
    ...claims.flatMap(({ draft }) => [`“${draft.wording}”`, draft.quantity, draft.unit]),
    ...claims.flatMap(({ draft: { controlPlan } }) => planTexts(controlPlan ?? R87)),
    ...samples.flatMap(({ draft }) => draft.columns.flatMap(({ name, unit }) => [name, unit])),
  ]
}

function coverPart({ case: known, claims, samples, head }: CaseContent, title: string, asOf: string): Part {
  const rows: readonly (readonly [string, string])[] = [
    ['Reference', known.reference],
    ['Subject', known.subject],
    ['Trader who makes the claims', known.party],
    ['Officers', known.people],
    ['Opened', known.openedOn],
    ['Due', known.dueOn],
    ['Closed', known.closedOn],
    [
      'State of the case',
      known.state === 'open' ? 'open, so that this is a preliminary report' : known.state,
    ],
    ['Claims and samples', `${claims.length} and ${samples.length}`],
    ['Notes', known.notes],
    ['Made from the case', asOf],
    ['Hash of that entry', head.hash],
    ['Computed with', `core ${CORE_VERSION}`],
  ]
  const stated = rows.filter(([, value]) => value.trim() !== '')
  return {
    id: 'cover',
    title,
    level: 1,
    blocks: [
      { is: 'paragraph', text: 'Report of findings', look: 'quiet' },
      { is: 'facts', label: 'Case', rows: stated },
    ],
  }
}

/** What is not what was written, before anything that rests on it; it can't be left out. */
function recordPart({ breaks, notes }: RecordVerdict): readonly Part[] {
  if (breaks.length === 0 && notes.length === 0) return []
  const title = breaks.length === 0 ? 'What the record does not show' : 'The record does not hold'
  const items = [...breaks.map(({ message }) => message), ...notes]
  return [{ id: 'record', title, level: 2, blocks: [{ is: 'list', items }] }]
}

function workingPart(
  { number, claim, checked }: ClaimStudy,
  { language }: ReportOptions,
  write: Writer,
): readonly Part[] {
  if (!checked) return []
  return [
    {
      id: `working-${number}`,
      title: `Appendix: working of claim ${number}`,
      level: 2,
      blocks: [
        { is: 'paragraph', text: write(claimTitle(claim.draft)), look: 'quiet' },
        ...checked.result.working.map(({ name, text, latex }, at): Block => ({
          is: 'formula',
          name: `${at + 1}. ${write(name)}`,
          text: write(text),
          latex: latexIn(language, latex),
        })),
      ],
    },
  ]
}

/** Where the adjustment of groups and lots comes from, and the test whether they differ. */
function sourcesOfMany(studies: readonly ClaimStudy[]): readonly (readonly [string, string])[] {
  const many = studies.filter(({ groups, lots }) => groups?.ok || lots?.ok)
  const adjustments = [...new Set(many.map(({ claim }) => claim.draft.adjustment))]
  const hasBetween = many.some(({ groups, lots }) =>
    [groups, lots].some((one) => one?.ok && one.value.between !== undefined),
  )
  return [
    ...adjustments.map(
      (name) => [`Groups taken together, ${ADJUSTMENT_WORDS[name]}`, ADJUSTMENT_SOURCES[name]] as const,
    ),
    ...(hasBetween ? [['Whether groups differ', BETWEEN_SOURCE] as const] : []),
  ]
}

/** Where the methods come from, and by what the data and the figures are known again. */
function sourcesPart(
  { samples, head }: CaseContent,
  studies: readonly ClaimStudy[],
  seal: Seal | undefined,
): Part {
  const results = studies.flatMap(({ checked }) => (checked ? [checked.result] : []))
  const controls = studies.flatMap(({ control }) => (control ? [control.result] : []))
  const methods = [...new Set(results.map(({ test }) => test.method))]
  const conditions = [
    ...new Set([...results, ...controls].flatMap((result) => result.conditions.map(({ name }) => name))),
  ]
  const fingerprints = [
    ...studies.flatMap(({ number, checked, census, control }) => {
      const answered = checked ?? census ?? control
      return answered ? [[`Check document of claim ${number}`, answered.fingerprint] as const] : []
    }),
    ...samples.flatMap(({ file }) => (file ? [[`File ${file.fileName}`, file.fileSha256] as const] : [])),
    ...(head.hash ? [['Last entry of the trail', head.hash] as const] : []),
    ...(seal
      ? [['Last seal of the trail', `${sealWords(seal)} Entry ${seal.length}: ${seal.hash}`] as const]
      : []),
  ]
  const sources = [
    ...controls.map(
      ({ content: { controlPlan } }) =>
        [`Control plan “${controlPlan.name}”`, planSource(controlPlan)] as const,
    ),
    ...methods.map((method) => [METHOD_WORDS[method].name, methodOf(method).source] as const),
    ...conditions.map(
      (name) => [`Condition: ${CONDITION_NAMES[name].toLowerCase()}`, CONDITION_SOURCES[name]] as const,
    ),
    ...sourcesOfMany(studies),
    ...(results.length > 1
      ? [['Several claims together', 'Holm (1979), Scandinavian J. of Statistics 6, 65-70'] as const]
      : []),
  ]
  return {
    id: 'sources',
    title: 'Methods and sources',
    level: 2,
    blocks: [
      { is: 'facts', label: 'Sources', rows: sources },
      {
        is: 'paragraph',
        text: `Every figure was computed with core ${CORE_VERSION}, and the data have these fingerprints (SHA-256):`,
      },
      { is: 'facts', label: 'Fingerprints', rows: fingerprints },
    ],
  }
}
