import { readFile } from 'node:fs/promises'
import { answerClaim } from '@/answers/claim'
import type { ClaimAnswer, ClaimDocument } from '@/claims/checkAnswer'
import { isTested } from '@/claims/checkAnswer'
import { testedTogether } from '@/claims/testedTogether'
import type { FindingOutcome } from '@/claims/finding'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { CORE_VERSION } from '@/claims/terms/version'
import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { columnNamed, EMPTY_SAMPLE } from '@/desk/sampleDraft'
import { readClaimAgainst } from '@/intake/claimDocument'
import { askedOf } from '@/intake/readDraft'
import { readSpecification, type SpecificationRow } from '@/intake/specification/specification'
import { claimTitle } from '@/words/en/claimTitle'
import { formatPValue } from '@/words/figures'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { keptOf, statedOf } from './checkCsv'
import { type CsvOptions, nearlyKept } from './csvParts'
import { readSheetFile } from './sheetFile'

/** One characteristic of a specification: its answer, or why there is none. */
type Line = Readonly<{
  line: number
  characteristic: string
  /** Of the sheet, and how it was found. */
  column?: string
  matched?: Extract<SpecificationRow, { ok: true }>['matched']
  claim?: string
  document?: ClaimDocument
  answer?: ClaimAnswer
  problem?: Problem
  /** Its p-value adjusted for all that were tested, and what the finding comes to by it. */
  together?: Readonly<{ pValue: number; outcome: FindingOutcome }>
}>

export type SpecificationAnswer =
  | Readonly<{ ok: true; coreVersion: string; unused: readonly string[]; specification: readonly Line[] }>
  | Readonly<{ ok: false; error: Problem }>

/** Checks every characteristic of a specification against its column of one CSV file, the findings taken together. */
export async function checkSpec({ csv, spec = '', ...options }: CsvOptions): Promise<SpecificationAnswer> {
  const unfit = UNFIT.find((name) => options[name] !== undefined)
  if (unfit) return { ok: false, error: notWithSpec(unfit) }
  const kept = keptOf(options.where ?? [])
  if (!kept.ok) return { ok: false, error: kept.problem }
  const written = statedOf({ csv, ...options })
  if (!written.ok) return { ok: false, error: written.problem }
  const sheet = await readSheetFile({
    ...{ file: csv, missing: options.missing ?? [], stated: written.value },
    wanted: undefined,
  })
  if (!sheet.ok) return { ok: false, error: sheet.problem }
  const near = nearlyKept(sheet.value, kept.value)
  if (near) return { ok: false, error: near }
  const { columns, rowCount } = sheet.value
  const text = await textOf(spec)
  if (!text.ok) return { ok: false, error: text.problem }
  const read = readSpecification(
    text.value,
    columns.map(({ name }) => ({ name, label: '' })),
  )
  if (!read.ok) return { ok: false, error: read.problem }
  const source = {
    draft: {
      ...EMPTY_SAMPLE,
      kind: 'file',
      columns: columns.map(({ name, kind }) => columnNamed(name, kind)),
    },
    sheet: {
      rowCount,
      columns: async (names?: readonly string[]) =>
        columns.filter(({ name }) => !names || names.includes(name)),
    },
  } as const
  const lines: Line[] = []
  for (const row of read.value.rows) {
    const { line, characteristic } = row
    if (!row.ok) {
      lines.push({ line, characteristic, problem: row.problem })
      continue
    }
    const { alpha } = options
    const draft = {
      ...row.claim,
      kept: kept.value.map((list) => [...list]),
      ...(alpha !== undefined && row.claim.significanceLevel === EMPTY_CLAIM.significanceLevel
        ? { significanceLevel: alpha }
        : {}),
      sampleId: '',
    }
    const known = { line, characteristic, matched: row.matched, claim: claimTitle(draft) }
    const reading = await readClaimAgainst(draft, async () => source)
    const document = reading && askedOf(reading)
    const why = [...(reading?.missing ?? []), ...(reading?.problems ?? [])][0]
    const at = draft.column === '' ? {} : { column: draft.column }
    if (!document)
      lines.push({
        ...known,
        ...at,
        problem: { code: 'not-complete', path: why?.field ?? '', message: why?.message ?? '' },
      })
    else lines.push({ ...known, ...at, document, answer: answerClaim(document) })
  }
  return { ok: true, coreVersion: CORE_VERSION, unused: read.value.unused, specification: adjusted(lines) }
}

/** What states one claim, which the rows of a specification do themselves. */
const UNFIT = [
  'column',
  'claim',
  'success',
  'method',
  'confidence',
  'sigma',
  'lot',
  'limit',
  'cluster',
  'by',
  'adjust',
] as const

const notWithSpec = (option: (typeof UNFIT)[number]): Problem => ({
  code: 'not-together',
  path: `--${option}`,
  message: `--${option} is of one claim, and --spec has many. Leave one of the two out; a column, a level or a method of a row stands in the specification.`,
})

async function textOf(file: string): Promise<Outcome<string>> {
  try {
    return success(await readFile(file, 'utf8'))
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error)
    return failure({
      code: 'not-read',
      path: '--spec',
      message: `The specification can’t be read: ${reason}.`,
    })
  }
}

function adjusted(lines: readonly Line[]): readonly Line[] {
  const tested = lines.flatMap((line) =>
    line.answer && isTested(line.answer) ? [{ line, result: line.answer }] : [],
  )
  const together = testedTogether(
    tested.map(({ result: { test, finding } }) => ({ ...test, outcome: finding.outcome })),
  )
  const known = new Map(tested.map(({ line }, at) => [line, together[at]!]))
  return lines.map((line) => (known.has(line) ? { ...line, together: known.get(line)! } : line))
}

/** A line a characteristic, for a person at a terminal. */
export function specificationSummary(answer: SpecificationAnswer): string {
  if (!answer.ok) return `Refused. ${answer.error.message}`
  const rows = answer.specification.map((line) => {
    const { answer: own, problem, together } = line
    const column =
      line.column === undefined ? '' : ` [${line.column}${line.matched === 'guessed' ? ', guessed' : ''}]`
    const head = `Line ${line.line}, ${line.claim ?? line.characteristic}${column}: `
    if (problem) return `${head}refused. ${problem.message}`
    if (!own?.ok) return `${head}refused. ${own?.error.message ?? ''}`
    const p = isTested(own) ? `, p-value ${formatPValue(own.test.pValue, own.test.significanceLevel)}` : ''
    const adjustedBy =
      together && isTested(own)
        ? `; taken together ${formatPValue(together.pValue, own.test.significanceLevel)}${together.outcome === own.finding.outcome ? '' : `, ${OUTCOME_WORDS[together.outcome].toLowerCase()}`}`
        : ''
    return `${head}${OUTCOME_WORDS[own.finding.outcome].toLowerCase()}${p}${adjustedBy}`
  })
  const unused =
    answer.unused.length === 0
      ? []
      : [`Columns of the specification that nothing was made of: ${answer.unused.join(', ')}.`]
  return [...rows, ...unused].join('\n')
}
