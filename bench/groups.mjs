// One claim held against each of 500 groups of 1,000,000 rows, beside pandas and scipy that do the same t tests.
import { spawnSync } from 'node:child_process'
import path from 'node:path'
import { bundle } from '../scripts/bundle.mjs'
import { PYTHON } from './python.mjs'
import { ratioTo } from './ratios.mjs'
import { sized } from './sizes.mjs'
import { newFolder } from './server.mjs'

const ROWS = sized(1_000_000, 2000)
const GROUPS = sized(500, 10)
const GOAL = 2000

export async function measureGroups() {
  const outfile = path.join(newFolder(), 'groups.mjs')
  await bundle('bench/groups.ts', outfile)
  const { stdout, stderr } = spawnSync('node', [outfile, String(ROWS), String(GROUPS)], { encoding: 'utf8' })
  if (stdout === '') throw new Error(stderr)
  const there = testedByPython()
  for (const [name, ms] of Object.entries(JSON.parse(stdout))) {
    const ratio =
      there === undefined || name !== 'a mean'
        ? ''
        : `; ${ratioTo('a claim against 500 groups', ms, there).toFixed(2)} of pandas' and scipy's ${there.toFixed(0)} ms`
    console.log(
      `${name} against ${GROUPS} groups of ${ROWS} rows: ${ms.toFixed(0)} ms (goal ${GOAL})${ratio}`,
    )
  }
}

const SCRIPT = `
import sys, time, numpy as np, pandas as pd
from scipy import stats
rows, groups = int(sys.argv[1]), int(sys.argv[2])
at = np.arange(rows)
frame = pd.DataFrame({"value": 2 + ((at * 7919) % 10007) / 10007 - 0.5, "label": ["depot %d" % (i % groups) for i in at]})
def tested(): return [stats.ttest_1samp(part, 2) for _, part in frame.groupby("label")["value"]]
tested()
start = time.perf_counter(); tested(); print((time.perf_counter() - start) * 1000)
`

function testedByPython() {
  if (!PYTHON.has('pandas') || !PYTHON.has('scipy')) return undefined
  const { stdout } = spawnSync(PYTHON.command, ['-c', SCRIPT, String(ROWS), String(GROUPS)], {
    encoding: 'utf8',
  })
  return Number(stdout)
}
