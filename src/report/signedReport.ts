import * as z from 'zod/mini'
import { AT_ONCE } from '@/answers/computing'
import {
  type CaseContent,
  contentClaimSchema,
  type ContentFinding,
  sampleRecordSchema,
} from '@/casefile/content'
import { verifyRecord } from '@/casefile/follows'
import { signedIn } from '@/casefile/signedText'
import { optionsFor, type StatedOptions, type Unstated } from '@/desk/reportOptions'
import { changeBetween } from '@/desk/trail/change'
import { readClaimAgainst } from '@/intake/claimDocument'
import { askedOf } from '@/intake/readDraft'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { signedOnWords } from '@/words/en/signatureWords'
import { changeLines } from '@/words/en/trailWords'
import { formatCount } from '@/words/figures'
import { appendices } from './appendices'
import { claimParts } from './claimParts'
import {
  asOfWords,
  coverPart,
  endPart,
  partiesOf,
  recordPart,
  reportNumber,
  type Row,
  titleOf,
} from './cover'
import type { Block, Part, Report } from './document/document'
import { oneSigned } from './findingBlocks'
import { type Writer, writerFor } from './language'
import { type ReportMeans, verbatimOf } from './report'
import { signedBlocks } from './signedBlocks'
import { inputOf, signedHow, studyClaims } from './study'

/** What of a text that was signed a report lays out. */
const laidOutSchema = z.object({
  claim: z.object({ draft: contentClaimSchema.shape.draft }),
  samples: z.array(z.object({ id: z.string(), draft: sampleRecordSchema.shape.draft })),
})
type Signed = z.output<typeof laidOutSchema>

/**
 * The report of one signed finding: its own words and figures, everything that it rests on as it was when it was signed, what it
 * replaces and what became of it since.
 *
 * @param whole - the case that it was signed in, as it stands
 */
export async function signedReportOf(
  whole: CaseContent,
  finding: ContentFinding,
  stated: StatedOptions,
  { computing = AT_ONCE, keys }: ReportMeans = {},
): Promise<Report> {
  const signed = signedOf(finding)
  const then = signed && asSigned(whole, finding, signed)
  const options = optionsFor(stated, 1)
  const isExamined = options.parts.includes('cross-examination')
  const wants = { decimals: options.decimals, isExamined, computing, keys }
  const [studies, record] = await Promise.all([
    then ? studyClaims(then, wants) : [],
    verifyRecord(whole, computing),
  ])
  // Where another version's record does not come to the document that was signed, nothing but the signed text is true of it.
  const [study] = studies.filter(({ findings }) => findings[0]?.isCurrent)
  const write = writerFor(options.language, verbatimOf(then ?? whole))
  const number = numberOf(whole, finding)
  const title = `${titleOf(whole.case)}: signed finding ${finding.number} of claim ${number}`
  const how = await signedHow(finding, keys)
  const own = { ...finding, signedHow: how, isCurrent: true }
  const rows = rowsOf(whole, finding, { how, asOf: asOfWords(whole, write), unstated: options.unstated })
  const body: readonly Part[] = study
    ? [
        ...claimParts({ ...study, number }, options, write, oneSigned(study, own, write)),
        ...(await appendices({ ...whole, samples: study.samples }, [{ ...study, number }], options, write)),
      ]
    : [
        {
          id: 'signed',
          title: `Claim ${number}`,
          level: 2,
          blocks: [...signedBlocks(own, write), NOT_LAID_OUT],
        },
      ]
  const ownNumber = reportNumber(whole.case.reference, finding.fingerprint)
  return {
    ...{ title, number: ownNumber },
    asOf: asOfWords(whole, write),
    madeAt: new Date(whole.case.updatedAt),
    parts: [
      coverPart(
        title,
        options.parts.includes('cover') ? { what: 'Report of a signed finding', rows } : undefined,
      ),
      ...recordPart(record),
      {
        id: 'standing',
        title: 'What it replaces, and what became of it',
        level: 2,
        blocks: await standing(whole, finding, write),
      },
      ...body,
      endPart(ownNumber, options),
    ],
  }
}

const NOT_LAID_OUT: Block = {
  is: 'paragraph',
  text: 'What it rests on is written in a form of an earlier version, which this one does not lay out: the text that was signed has it whole.',
}

function signedOf({ signed }: ContentFinding): Signed | undefined {
  const read = signedIn(signed)
  const laidOut = read && laidOutSchema.safeParse(read)
  return laidOut?.success ? laidOut.data : undefined
}

/** The entry of the trail that tells of the signature; 0 where there is none, which the record's verdict tells. */
const entryOf = ({ trail }: CaseContent, { claimId, fingerprint }: ContentFinding): number =>
  trail.find(
    (entry) => entry.action === 'signed' && entry.claimId === claimId && entry.detail.includes(fingerprint),
  )?.number ?? 0

/** The place of its claim among those that are reported; a discarded one is counted with them. */
const numberOf = ({ claims }: CaseContent, { claimId }: ContentFinding): number =>
  claims
    .filter(({ id, draft }) => id === claimId || !draft.isDiscarded)
    .findIndex(({ id }) => id === claimId) + 1

/** The case as it was signed: the one claim, its samples with the sheets of their files, and the trail up to the signature. */
function asSigned(whole: CaseContent, finding: ContentFinding, { claim, samples }: Signed): CaseContent {
  const wasOf = new Map(samples.map(({ id, draft }) => [id, draft]))
  return {
    ...whole,
    claims: whole.claims
      .filter(({ id }) => id === finding.claimId)
      .map((known) => ({ ...known, draft: claim.draft })),
    samples: whole.samples.map((sample) => ({ ...sample, draft: wasOf.get(sample.id) ?? sample.draft })),
    findings: [finding],
    trail: whole.trail.slice(0, entryOf(whole, finding)),
  }
}

function rowsOf(
  whole: CaseContent,
  finding: ContentFinding,
  { how, asOf, unstated }: Readonly<{ how: string; asOf: string; unstated: Unstated }>,
): readonly Row[] {
  const { reference } = whole.case
  const entry = entryOf(whole, finding)
  return [
    ['Number of this report', reportNumber(reference, finding.fingerprint)],
    [
      'Signed',
      `by ${finding.signedBy} ${signedOnWords({ ...finding, enteredBy: signedIn(finding.signed)?.enteredBy })}, ${how}`,
    ],
    ['Entry of the trail', entry === 0 ? '' : `${entry}, with the hash ${whole.trail[entry - 1]!.hash}`],
    ['Fingerprint of what was signed', finding.fingerprint],
    ...partiesOf(whole, unstated),
    ['Made from the case', asOf],
  ]
}

const named = ({ number, outcome, signedBy, signedOn }: ContentFinding): string =>
  `signed finding ${number} (${OUTCOME_WORDS[outcome].toLowerCase()}: ${signedBy}, ${signedOn})`

/** The finding before it with what was changed in between, and the one after it or how the claim stands now. */
async function standing(
  whole: CaseContent,
  finding: ContentFinding,
  write: Writer,
): Promise<readonly Block[]> {
  const own = whole.findings
    .filter(({ claimId }) => claimId === finding.claimId)
    .toSorted((one, other) => one.number - other.number)
  const before = own.findLast(({ number }) => number < finding.number)
  const after = own.find(({ number }) => number > finding.number)
  return [
    before
      ? { is: 'paragraph', text: `It replaces ${named(before)}.` }
      : { is: 'paragraph', text: 'It is the first that was signed of this claim.' },
    ...(before ? changesBetween(before, finding) : []),
    {
      is: 'paragraph',
      text: after
        ? `It is replaced by ${named(after)}.`
        : `It was not replaced. ${write(await sinceThen(whole, finding))}`,
    },
  ]
}

async function sinceThen(whole: CaseContent, finding: ContentFinding): Promise<string> {
  const claim = whole.claims.find(({ id }) => id === finding.claimId)
  const reading =
    claim && (await readClaimAgainst(claim.draft, async (id) => whole.samples.find((one) => one.id === id)))
  const document = reading && askedOf(reading)
  const to = `up to entry ${formatCount(whole.head.length)} of the trail`
  if (claim?.draft.isDiscarded) return `The claim was discarded since, ${to}.`
  return document && inputOf(document, claim.draft) === finding.inputFingerprint
    ? `The claim, its evidence and the remarks are as they were signed, ${to}.`
    : `The claim, its evidence or the remarks were changed since, ${to}; what they come to now is not signed.`
}

/** Longer ones are cut: the texts that were signed have them whole. */
const LONGEST_SHOWN = 400

/** Every field of the claim and of its samples that was changed from one signed finding to the next. */
function changesBetween(before: ContentFinding, finding: ContentFinding): readonly Block[] {
  const [was, is] = [signedOf(before), signedOf(finding)]
  if (!was || !is) return []
  const sampleOf = ({ samples }: Signed, id: string) => samples.find((one) => one.id === id)?.draft ?? {}
  const ids = [...new Set([...was.samples, ...is.samples].map(({ id }) => id))]
  const changes = [
    { of: 'Claim', change: changeBetween(was.claim.draft, is.claim.draft) },
    ...ids.map((id) => ({ of: 'Sample', change: changeBetween(sampleOf(was, id), sampleOf(is, id)) })),
  ]
  const cut = (text: string) => (text.length > LONGEST_SHOWN ? `${text.slice(0, LONGEST_SHOWN)}…` : text)
  const rows = changes.flatMap(({ of, change }) =>
    change
      ? changeLines(change).map(({ field, before: then, after }) => [
          `${of}: ${field}`,
          cut(then),
          cut(after),
        ])
      : [],
  )
  if (rows.length === 0) return [{ is: 'paragraph', text: 'What it is of was not changed in between.' }]
  const heads = ['Changed since', `In signed finding ${before.number}`, `In signed finding ${finding.number}`]
  return [{ is: 'table', label: 'Changed since', heads, rows, numbers: [false, false, false] }]
}
