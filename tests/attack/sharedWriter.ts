// Changes the case that it is given over and over on a PostgreSQL server, whatever becomes of its connections, until it is killed.
import { saveCase } from '@/server/case/changeCase'

const [caseId, by] = process.argv.slice(2) as [string, string]
const say = (line: object) => process.stdout.write(`${JSON.stringify(line)}\n`)

async function write(): Promise<void> {
  for (let count = 1; ; count += 1) {
    try {
      const words = { notes: `${by} ${count}` }
      const outcome = await saveCase(caseId, { words, by }, new Date())
      if (!outcome.ok) throw new Error(outcome.problem.message)
      say({ confirmed: count })
    } catch (error) {
      say({ broken: error instanceof Error ? error.message : String(error) })
    }
  }
}

void write()
