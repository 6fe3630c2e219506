import { openTestDatabase } from '@tests/database'
import { spawn } from 'node:child_process'
import { createInterface } from 'node:readline'
import { setTimeout as wait } from 'node:timers/promises'
import { sql } from 'drizzle-orm'
import { verifyRecord } from '@/casefile/follows'
import type { Database } from '@/data/client'
import { valuesIn } from '@/desk/trail/change'
import { openCase } from '@/server/case/changeCase'
import { readContent } from '@/server/keeping/readContent'
import { makeProgram, randomFrom, times } from './writing'

const SERVER = process.env.TRUE_WEIGHT_TEST_SERVER
const CUTS = times(60, 8)
const LONGEST_MS = 400
const WRITERS = ['A. Writer', 'B. Writer']
const random = randomFrom(20261128)
const kept = globalThis as typeof globalThis & { trueWeightDatabase?: Promise<Database> }

/** What a writer said. */
type Line = Readonly<{ confirmed?: number; broken?: string }>

// The embedded database has no connections that could be cut.
const onServer = SERVER ? test : test.skip

onServer(
  `two servers lose nothing that was confirmed when their connections are cut ${CUTS} times`,
  async () => {
    const program = makeProgram('sharedWriter')
    kept.trueWeightDatabase = openTestDatabase()
    const db = await kept.trueWeightDatabase
    const { caseId } = await openCase({ by: 'A. Officer', now: new Date() }, { subject: 'Sacks' })
    const { rows } = (await db.execute(sql`select current_database() as name`)) as unknown as {
      rows: readonly Readonly<{ name: string }>[]
    }
    const said = WRITERS.map(() => [] as Line[])
    const writers = WRITERS.map((by, at) => {
      const env = { ...process.env, DATABASE_URL: `${SERVER}/${rows[0]!.name}`, TRUE_WEIGHT_DATA: '' }
      const writer = spawn(process.execPath, [program, caseId, by], {
        env,
        stdio: ['ignore', 'pipe', 'ignore'],
      })
      createInterface(writer.stdout).on('line', (line) => said[at]!.push(JSON.parse(line) as Line))
      return writer
    })
    const confirmed = (at: number) => said[at]!.flatMap((line) => line.confirmed ?? [])
    while (WRITERS.some((_, at) => confirmed(at).length === 0)) await wait(50)
    for (let cut = 0; cut < CUTS; cut += 1) {
      await wait(random() * LONGEST_MS)
      await db.execute(
        sql`select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()`,
      )
    }
    // Both go on after the last cut, as no server ends for a connection.
    const before = WRITERS.map((_, at) => confirmed(at).length)
    while (WRITERS.some((_, at) => confirmed(at).length === before[at])) await wait(50)
    expect(writers.map(({ exitCode }) => exitCode)).toEqual([null, null])
    for (const writer of writers) writer.kill('SIGKILL')
    const content = (await readContent(db, caseId))!
    expect(await verifyRecord(content)).toEqual({ breaks: [], notes: [] })
    for (const [at, by] of WRITERS.entries()) {
      const told = content.trail.filter(({ who }) => who === by).map(({ after }) => valuesIn(after).notes)
      expect(new Set(told).size).toBe(told.length)
      expect(told).toEqual(expect.arrayContaining(confirmed(at).map((count) => `${by} ${count}`)))
    }
    const broken = said.flat().filter((line) => line.broken !== undefined)
    expect(broken.length).toBeGreaterThan(0)
    console.info(`${confirmed(0).length + confirmed(1).length} changes by two servers, ${broken.length} cut`)
    await db.close()
  },
  300_000,
)
