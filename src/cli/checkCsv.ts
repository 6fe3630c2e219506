import { type Answer, answer } from '@/core/check/answer'
import type { CheckDocument } from '@/core/check/request'
import { failure, type Outcome, success } from '@/core/outcome'
import { readClaimText } from '@/intake/claimText'
import { readNumber } from '@/intake/number'
import { readRowConditions } from '@/intake/rowCondition'
import { type ColumnOfCsv, numbersOf, readCsvColumn } from './csvColumn'
import { openInput } from './openInput'

/** What was stated on the command line, as texts. */
export type CsvOptions = Readonly<{
  csv: string
  column?: string | undefined
  where?: readonly string[] | undefined
  claim?: string | undefined
  success?: string | undefined
  method?: string | undefined
  alpha?: string | undefined
  confidence?: string | undefined
  sigma?: string | undefined
  lot?: string | undefined
}>

/** Checks one claim against one column of a CSV file. */
export async function checkCsv(options: CsvOptions): Promise<Answer> {
  const document = await documentOf(options)
  return document.ok ? answer(document.value) : { ok: false, error: document.problem }
}

async function documentOf(options: CsvOptions): Promise<Outcome<CheckDocument>> {
  const { csv, column } = options
  if (column === undefined) return failure(needed('--column', 'the name of the column to check'))
  if (options.claim === undefined)
    return failure(needed('--claim', 'the claim, such as "mean at least 15 kg"'))
  const claim = readClaimText(options.claim)
  if (!claim.ok) return claim
  const conditions = readRowConditions((options.where ?? []).join(' and '))
  if (options.where && !conditions.ok) return conditions
  const test = testOf(options)
  if (!test.ok) return test
  const input = await openInput(csv)
  const read = await readCsvColumn({ input, column, conditions: conditions.ok ? conditions.value : [] })
  if (!read.ok) return read
  const evidence = evidenceOf(options, column, read.value, claim.value.parameter)
  if (!evidence.ok) return evidence
  return success({
    claim: { ...claim.value, wording: options.claim },
    evidence: evidence.value,
    test: test.value,
  })
}

function evidenceOf(
  { success: marked, lot }: CsvOptions,
  column: string,
  read: ColumnOfCsv,
  parameter: string,
): Outcome<CheckDocument['evidence']> {
  const lotSize = lot === undefined ? {} : { lotSize: Number(lot) }
  if (parameter !== 'proportion') {
    const values = numbersOf(read, column)
    return values.ok ? success({ kind: 'readings', values: [...values.value], ...lotSize }) : values
  }
  if (marked === undefined)
    return failure(needed('--success', 'the value in the column that counts as a success'))
  const successes = read.cells.filter((cell) => cell === marked).length
  return success({ kind: 'count', n: read.cells.length, successes, ...lotSize })
}

function testOf(options: CsvOptions): Outcome<NonNullable<CheckDocument['test']>> {
  const figures = {
    significanceLevel: options.alpha,
    confidenceLevel: options.confidence,
    knownStandardDeviation: options.sigma,
  }
  const test: Record<string, unknown> = options.method === undefined ? {} : { method: options.method }
  for (const [name, text] of Object.entries(figures)) {
    if (text === undefined) continue
    const reading = readNumber(text, 'point')
    if (!reading.ok) {
      return failure({
        code: 'wrong-type',
        path: `test.${name}`,
        message: `“${text}” is not a number. State “test.${name}” as one, such as 0.05.`,
      })
    }
    test[name] = reading.value
  }
  return success(test as NonNullable<CheckDocument['test']>)
}

function needed(option: string, what: string) {
  return { code: 'missing', path: option, message: `${option} is missing; state ${what}.` }
}
