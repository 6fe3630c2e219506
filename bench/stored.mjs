// A file of 1,000,000 rows by 8 columns brought in and stored, then another filter and test on what is stored, beside pandas
// that only parses it, by turns in one run.
import { spawnSync } from 'node:child_process'
import { createReadStream } from 'node:fs'
import { randomUUID } from 'node:crypto'
import path from 'node:path'
import { loadServerCode } from '../scripts/bundle.mjs'
import { LOG_ROWS, LOG_ROWS_WRITTEN, median, writeLog } from './log.mjs'
import { PYTHON } from './python.mjs'
import { ratioTo } from './ratios.mjs'
import { TURNS } from './sizes.mjs'
import { newFolder } from './server.mjs'

const GOALS = { stored: 1.5, again: 0.1, kept: 0.03 }

export async function measureStored() {
  const folder = newFolder()
  const file = await writeLog(path.join(folder, 'log.csv'), LOG_ROWS)
  await withStore(async (store) => {
    const [stored, again, kept, pandas] = [[], [], [], []]
    for (let turn = 0; turn < TURNS; turn += 1) {
      const times = await timesOfStore(store, file, 7 + turn)
      stored.push(times.stored)
      again.push(times.again)
      kept.push(times.kept)
      pandas.push(parsedByPandas(file))
    }
    const [ours, second, third, theirs] = [stored, again, kept, pandas].map(median)
    const beside = (name, ms, goal) =>
      theirs === undefined
        ? 'python3-pandas is not installed'
        : `${ratioTo(name, ms, theirs).toFixed(2)} of pandas' ${theirs.toFixed(0)} ms to parse it (goal ${goal})`
    console.log(
      `${LOG_ROWS_WRITTEN} rows by 8 columns, brought in and stored: ${ours.toFixed(0)} ms, ${beside('a file brought in and stored', ours, GOALS.stored)}`,
    )
    console.log(
      `Another filter and test on what is stored: ${second.toFixed(0)} ms, ${beside('another test of a stored sample', second, GOALS.again)}`,
    )
    console.log(
      `And one more, its columns in memory: ${third.toFixed(0)} ms, ${beside('one more test of a stored sample', third, GOALS.kept)}`,
    )
  })
}

/** Has `work` done with a new database that has one case, and with the server's own functions. */
export async function withStore(work) {
  const server = await loadServerCode('bench/storedServer.ts')
  const folder = newFolder()
  process.env.TRUE_WEIGHT_DATA = folder
  const db = await server.openDatabase({ folder: path.join(folder, 'data') })
  try {
    const caseId = randomUUID()
    const now = new Date()
    await server.insertCase(db, { id: caseId, ...server.EMPTY_CASE, createdAt: now, updatedAt: now })
    return await work({ server, db, caseId })
  } finally {
    await db.close()
  }
}

/**
 * How long a file takes to be brought in and stored, and then a claim about the masses of one depot to be tested, and of the
 * next depot, in milliseconds.
 *
 * @param onStored - told when it is stored
 */
export async function timesOfStore({ server, db, caseId }, file, depot, onStored = () => {}) {
  const body = createReadStream(file, { highWaterMark: 1 << 20 })
  const question = { caseId, fileName: 'log.csv', by: '', body }
  const [brought, stored] = await timed(() => server.importSheet(db, question, new Date()))
  if (!brought.ok) throw new Error(brought.problem.message)
  onStored()
  const testing = async (which) => {
    const draft = { ...server.EMPTY_CLAIM, ...aboutDepot(brought.value.sampleId, which) }
    const [outcome, took] = await timed(() => server.outcomeOf(db, draft))
    if (outcome === null) throw new Error('The claim could not be tested.')
    return took
  }
  return { stored, again: await testing(depot), kept: await testing(depot + 1) }
}

/** What differs from an empty claim in one about the masses of one depot. */
const aboutDepot = (sampleId, depot) => ({
  claimedValue: '15',
  sampleId,
  column: 'mass',
  kept: [[{ column: 'depot', relation: 'is', value: String(depot), upTo: '' }]],
})

async function timed(work) {
  const start = performance.now()
  const value = await work()
  return [value, performance.now() - start]
}

const SCRIPT = `
import sys, time, pandas as pd
start = time.perf_counter()
pd.read_csv(sys.argv[1])
print((time.perf_counter() - start) * 1000)
`

function parsedByPandas(file) {
  if (!PYTHON.has('pandas')) return undefined
  return Number(spawnSync(PYTHON.command, ['-c', SCRIPT, file], { encoding: 'utf8' }).stdout)
}
