import { AT_ONCE, type Computing } from '@/answers/computing'
import type { CaseContent } from '@/casefile/content'
import { verifyRecord } from '@/casefile/follows'
import { type ControlPlan, R87 } from '@/claims/terms/controlPlan'
import type { RegisteredKey } from '@/desk/trail/keyRegister'
import { optionsFor, type ReportOptions, type StatedOptions } from '@/desk/reportOptions'
import { appendices } from './appendices'
import { claimParts } from './claimParts'
import { asOfWords, caseRows, coverPart, endPart, recordPart, reportNumber, titleOf } from './cover'
import type { Report } from './document/document'
import { writerFor } from './language'
import { studyClaims } from './study'
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
  stated: StatedOptions,
  { computing = AT_ONCE, keys }: ReportMeans = {},
): Promise<Report> {
  // What is discarded is in the case's file and on its trail, and no part of what is reported.
  const content = { ...whole, claims: whole.claims.filter(({ draft }) => !draft.isDiscarded) }
  const options = optionsFor(stated, content.claims.length)
  const isExamined = options.parts.includes('cross-examination')
  const [studies, record] = await Promise.all([
    studyClaims(content, { decimals: options.decimals, isExamined, computing, keys }),
    verifyRecord(whole, computing),
  ])
  const write = writerFor(options.language, verbatimOf(content))
  const has = (name: ReportOptions['parts'][number]) => options.parts.includes(name)
  const [title, asOf] = [titleOf(content.case), asOfWords(content, write)]
  const number = reportNumber(content.case.reference, content.head.hash)
  return {
    ...{ title, number },
    asOf,
    madeAt: new Date(content.case.updatedAt),
    parts: [
      coverPart(
        title,
        has('cover')
          ? { what: 'Report of findings', rows: caseRows(content, asOf, options.unstated) }
          : undefined,
      ),
      ...recordPart(record),
      ...(has('summary') ? [summaryPart(studies, write)] : []),
      ...(has('simultaneous-intervals') ? simultaneousPart(studies, write) : []),
      ...studies.flatMap((study) => claimParts(study, options, write)),
      ...(await appendices(content, studies, options, write)),
      endPart(number, options),
    ],
  }
}

const planTexts = ({ name, source }: ControlPlan) => [name, source]

/** What people wrote: it stays as it is in whatever sentence it stands. */
export function verbatimOf({ claims, samples }: Pick<CaseContent, 'claims' | 'samples'>): readonly string[] {
  return [
    ...claims.flatMap(({ draft }) => [`“${draft.wording}”`, draft.quantity, draft.unit]),
    ...claims.flatMap(({ draft: { controlPlan } }) => planTexts(controlPlan ?? R87)),
    ...samples.flatMap(({ draft }) => draft.columns.flatMap(({ name, unit }) => [name, unit])),
  ]
}
