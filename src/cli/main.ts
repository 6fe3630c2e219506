import { parseArgs } from 'node:util'
import { answerLines } from './answerLines'
import { openInput } from './openInput'

const USAGE = `Usage: true-weight check [FILE|-] [--pretty]

Answers check documents, and reckonings of a distribution's tails and quantiles: one JSON
document a line in, one JSON result a line out, in order.
FILE is read where it is given, else standard input.

  --pretty   print a summary for people instead of JSON

It ends with 0 when every document was answered, with 1 when one was refused, and with 2
when it could not run at all.`

/**
 * Runs the command line.
 *
 * @param args - what follows the program's name
 * @returns the exit code
 */
export async function main(args: readonly string[]): Promise<number> {
  // Whoever reads the results may have seen enough, as `head` has: that is no failure.
  process.stdout.on('error', ({ code }: NodeJS.ErrnoException) => process.exit(code === 'EPIPE' ? 0 : 2))
  try {
    const { positionals, values } = parseArgs({
      args: [...args],
      allowPositionals: true,
      options: { pretty: { type: 'boolean', default: false }, help: { type: 'boolean', default: false } },
    })
    const [command, file = '-', ...more] = positionals
    if (values.help) return print(USAGE)
    if (command !== 'check' || more.length > 0) return refuse(USAGE)
    const input = await openInput(file)
    return await answerLines({ input, output: process.stdout, style: values.pretty ? 'pretty' : 'json' })
  } catch (error) {
    return refuse(error instanceof Error ? error.message : String(error))
  }
}

function print(text: string): number {
  process.stdout.write(`${text}\n`)
  return 0
}

function refuse(text: string): number {
  process.stderr.write(`${text}\n`)
  return 2
}
