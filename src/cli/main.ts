import { parseArgs } from 'node:util'
import type { Answer } from '@/answers/answer'
import type { Outcome } from '@/claims/terms/outcome'
import { answerLines } from './answerLines'
import { openInput } from './openInput'
import type { Verdict } from './verify'

/** What a thread of it does. */
export { answerBatch } from './answerBatch'

const USAGE = `Usage: true-weight check [FILE|-] [--pretty]
       true-weight check --csv FILE --column NAME --claim "mean at least 15 kg" [options]
       true-weight report CASE.zip [--format pdf|docx|html|md] [--output FILE] [options]
       true-weight verify FILE [--keys FILE] [--authority FILE]
       true-weight schema

check answers requests: check documents, reckonings of a distribution's tails, quantiles and critical
values, descriptions of readings, plans, estimates and adjustments of p-values; one JSON document a line
in, one JSON result a line out, in order. FILE is read where it is given, else standard input.

check --csv checks one claim against one column of a CSV file with a header line:
  --where "depot = 7"   keep only the rows that meet this; may be repeated
  --missing "n/a"       a word where nothing was measured; may be repeated
  --numbers "1.234,5"   how the file writes numbers, where it could be read in two ways
  --dates day-first     or month-first: what comes first in its dates, likewise
  --success VALUE       for a share, the value in the column that counts as a success
  --method NAME         the test, where the usual one is not wanted
  --alpha 0.05          the significance level
  --confidence 0.95     the confidence level
  --sigma 0.2           a known standard deviation
  --lot 4000            the size of the lot that was sampled
  --limit "at least 15"  for a share of items, what the reading of one has to be for it to count
  --cluster NAME        the column that names what was drawn, where rows are several of each
  --by NAME             hold the claim against each entry of this column, group by group
  --adjust holm         how their p-values are adjusted; or benjamini-hochberg

check --csv FILE --spec SPEC.csv checks every characteristic of a specification, a table with the columns
characteristic and value, and parameter, relation, tolerance, unit, column, level, method, burden or
wording, against its column of the file, and takes the findings together (Holm). --where, --missing,
--numbers, --dates and --alpha are as above.

report writes the report of a case file, the same that the application gives:
  --finding 3f2a91c0         of one signed finding, by the first digits of its fingerprint
  --parts cover,summary,...  only these parts
  --decimals 3               of every figure
  --numbers "1 234,5"        how numbers are written (else 1,234.5)
  --template OFFICE.dotx     the styles of a DOCX report, by their names
  --mark OFFICE.png          the mark of the office, above the title
  --unstated named           say what is not stated of the case and its samples (else left out)

verify says whether a case file, or a trail by itself, is as it was written, and who signed its
findings, with which key, and over what; and who sealed its trail when.
  --keys FILE        the office's register of keys, which says whose they are
  --authority FILE   the certificate (PEM) of the authority whose seals are trusted, or the one
                     that it was issued under

schema prints the JSON Schema of every kind of request.

  --pretty   print a summary for people instead of JSON

It ends with 0 when every request was answered, or the file holds; with 1 when one was refused,
or the file does not; and with 2 when it could not run at all.`

const text = { type: 'string' } as const
const OPTIONS = {
  pretty: { type: 'boolean', default: false },
  help: { type: 'boolean', default: false },
  csv: text,
  column: text,
  where: { type: 'string', multiple: true },
  missing: { type: 'string', multiple: true },
  dates: text,
  claim: text,
  success: text,
  method: text,
  alpha: text,
  confidence: text,
  sigma: text,
  lot: text,
  limit: text,
  cluster: text,
  by: text,
  adjust: text,
  spec: text,
  finding: text,
  format: text,
  output: text,
  parts: text,
  decimals: text,
  numbers: text,
  unstated: text,
  template: text,
  mark: text,
  keys: text,
  authority: text,
} as const

/**
 * Runs the command line.
 *
 * @param args - what follows the program's name
 * @param thread - what a thread that helps with many documents runs
 * @returns the exit code
 */
export async function main(args: readonly string[], thread?: URL): Promise<number> {
  // Whoever reads the results may have seen enough, as `head` has: that is no failure.
  process.stdout.on('error', ({ code }: NodeJS.ErrnoException) => process.exit(code === 'EPIPE' ? 0 : 2))
  try {
    const { positionals, values } = parseArgs({ args: [...args], allowPositionals: true, options: OPTIONS })
    const { csv, pretty, help, keys, authority, ...options } = values
    const [command, file = '-', ...more] = positionals
    if (help) return print(USAGE)
    // What a command needs beside checks is read only where it is asked for: reading it takes longer than a check.
    if (command === 'schema' && positionals.length === 1) {
      const { requestJsonSchema } = await import('@/answers/jsonSchema')
      return print(JSON.stringify(requestJsonSchema(), null, 2))
    }
    if (command === 'verify' && positionals.length === 2) {
      const { verify } = await import('./verify')
      return printVerdict(await verify(file, { keys, authority }))
    }
    if (command === 'report' && positionals.length === 2) {
      const { writeReport } = await import('./report')
      return printReport(await writeReport(file, options))
    }
    if (command !== 'check' || more.length > 0 || keys !== undefined || authority !== undefined)
      return refuse(USAGE)
    if (csv !== undefined && options.spec !== undefined && positionals.length === 1) {
      const { checkSpec, specificationSummary } = await import('./checkSpec')
      const answered = await checkSpec({ csv, ...options })
      print(pretty ? specificationSummary(answered) : JSON.stringify(answered))
      return answered.ok && answered.specification.every(({ answer }) => answer?.ok) ? 0 : 1
    }
    if (csv !== undefined && positionals.length === 1) {
      const { checkCsv } = await import('./checkCsv')
      return await printAnswer(await checkCsv({ csv, ...options }), pretty)
    }
    if (csv !== undefined || Object.keys(options).length > 0) return refuse(USAGE)
    const input = await openInput(file)
    const style = pretty ? 'pretty' : 'json'
    return await answerLines({ input, output: process.stdout, style, thread })
  } catch (error) {
    return refuse(error instanceof Error ? error.message : String(error))
  }
}

async function printAnswer(answer: Answer, pretty: boolean): Promise<number> {
  const text = pretty ? (await import('@/answers/summary')).summary(answer) : JSON.stringify(answer)
  print(text)
  return answer.ok ? 0 : 1
}

function printVerdict({ holds, words }: Verdict): number {
  print(words)
  return holds ? 0 : 1
}

function printReport(written: Outcome<Readonly<{ output: string; lacking: string }>>): number {
  const note = written.ok ? written.value.lacking : written.problem.message
  if (note) process.stderr.write(`${note}\n`)
  return written.ok ? print(written.value.output) : 1
}

function print(text: string): number {
  process.stdout.write(`${text}\n`)
  return 0
}

function refuse(text: string): number {
  process.stderr.write(`${text}\n`)
  return 2
}
