// A file of 1,000,000 rows by 8 columns: read, filtered on a coded column and tested by the command line, beside pandas with
// scipy on the same file (Debian's python3-pandas and python3-scipy), by turns in one run.
import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { buildCli } from '../scripts/buildCli.mjs'
import { ROOT } from '../scripts/install.mjs'
import { LOG_ROWS, LOG_ROWS_WRITTEN, median, writeLog } from './log.mjs'
import { PYTHON } from './python.mjs'
import { ratioTo } from './ratios.mjs'
import { sized, TURNS } from './sizes.mjs'

const FEW_ROWS = sized(10_000, 100)
const GOALS = { ratio: 0.7, megabytes: 160, fewRows: 100 }

export async function measureSheet() {
  await buildCli()
  const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-bench-'))
  try {
    const file = await writeLog(path.join(folder, 'log.csv'), LOG_ROWS)
    const [own, other] = [[], []]
    for (let turn = 0; turn < TURNS; turn += 1) {
      own.push(ownTime(file))
      other.push(pandasTime(file))
    }
    const [ours, theirs] = [median(own.map(({ ms }) => ms)), median(other)]
    const beside =
      theirs === undefined
        ? 'python3-pandas and python3-scipy are not installed'
        : `${ratioTo('a file checked by the command line', ours, theirs).toFixed(2)} of pandas' ${theirs.toFixed(0)} ms (goal ${GOALS.ratio})`
    const megabytes = Math.max(...own.map((turn) => turn.megabytes))
    console.log(
      `${LOG_ROWS_WRITTEN} rows by 8 columns: ${ours.toFixed(0)} ms, ${beside}; ${megabytes.toFixed(0)} MB (goal ${GOALS.megabytes})`,
    )
    const start = median(
      Array.from(
        { length: TURNS },
        () => timed('node', [path.join(ROOT, 'bin/true-weight'), 'check', '/dev/null']).ms,
      ),
    )
    const growth = []
    for (const rows of [LOG_ROWS / 4, LOG_ROWS / 2, LOG_ROWS]) {
      const part = rows === LOG_ROWS ? file : await writeLog(path.join(folder, `${rows}.csv`), rows)
      const ms = median(Array.from({ length: TURNS }, () => ownTime(part).ms)) - start
      growth.push(`${rows} rows ${((ms / rows) * 1000).toFixed(2)}`)
    }
    console.log(`Microseconds a row beyond the start: ${growth.join(', ')}`)
    const few = await writeLog(path.join(folder, 'few.csv'), FEW_ROWS)
    const times = Array.from({ length: TURNS }, () => ownTime(few).ms)
    console.log(
      `${FEW_ROWS} rows: ${(median(times) - start).toFixed(0)} ms (goal ${GOALS.fewRows}) after a start of ${start.toFixed(0)} ms`,
    )
  } finally {
    rmSync(folder, { recursive: true })
  }
}

function timed(command, args) {
  const start = performance.now()
  const { status, stderr, stdout } = spawnSync(command, args, { encoding: 'utf8' })
  if (status !== 0) throw new Error(`${command} ended with ${status}: ${stderr}`)
  return { ms: performance.now() - start, stdout }
}

const PEAK = `process.on('exit', () => process.stderr.write('peak ' + process.resourceUsage().maxRSS + '\\n'))`

/** Checks one column of a log by the command line. */
export function ownTime(file) {
  const start = performance.now()
  const { stderr, status } = spawnSync(
    'node',
    [
      '--import',
      `data:text/javascript,${encodeURIComponent(PEAK)}`,
      path.join(ROOT, 'bin/true-weight'),
      'check',
      '--csv',
      file,
      '--column',
      'mass',
      '--where',
      'depot = 7',
      '--claim',
      'mean at least 15 kg',
    ],
    { encoding: 'utf8' },
  )
  if (status !== 0) throw new Error(`true-weight ended with ${status}: ${stderr}`)
  return { ms: performance.now() - start, megabytes: Number(/peak (\d+)/.exec(stderr)[1]) / 1024 }
}

const SCRIPT = `
import sys, pandas as pd
from scipy import stats
log = pd.read_csv(sys.argv[1])
stats.ttest_1samp(log.loc[log.depot == 7, "mass"], 15, alternative="less")
`

function pandasTime(file) {
  if (!PYTHON.has('pandas')) return undefined
  return timed(PYTHON.command, ['-c', SCRIPT, file]).ms
}
