// The calculation: bootstrap, exact binomial, ten thousand documents through the command line, and its start; beside
// general-purpose Python libraries where they are installed (python3-scipy).
import { spawnSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import path from 'node:path'
import { buildCli } from '../scripts/buildCli.mjs'
import { bundle } from '../scripts/bundle.mjs'
import { ROOT } from '../scripts/install.mjs'
import { PYTHON } from './python.mjs'
import { ratioTo } from './ratios.mjs'
import { IS_TINY, sized } from './sizes.mjs'
import { newFolder } from './server.mjs'

const BINARY = path.join(ROOT, 'bin/true-weight')
const DOCUMENTS = sized(10_000, 100)
const STARTS = sized(15, 1)

export async function measureCore() {
  await buildCli()
  const here = await measureHere()
  const there = IS_TINY ? undefined : measurePython()
  const report = (name, ms, goal, other) => {
    const ratio =
      other === undefined
        ? 'not measured beside python3-scipy'
        : `${ratioTo(name, ms, other).toFixed(2)} of Python's ${other.toFixed(1)} ms`
    console.log(`${name}: ${ms.toFixed(1)} ms (goal ${goal}); ${ratio}`)
  }
  report('10,000 bootstrap resamples of 1,000 readings', here.bootstrap, 250, there?.bootstrap)
  report('exact binomial test of 1,000,000, two-sided', here.exact, 5, there?.exact)
  report(`${DOCUMENTS} check documents of 20 readings`, timeOfDocuments(DOCUMENTS), 2000, there?.tests)
  const least = (work) => Math.min(...Array.from({ length: STARTS }, () => timeOf(work)))
  const start = least(() => run('check', '/dev/null'))
  const node = least(() => spawnSync('node', ['-e', '0']))
  console.log(
    `start of the command line: ${start.toFixed(0)} ms, ${ratioTo('start of the command line', start, node).toFixed(2)} of node's ${node.toFixed(0)} ms (goal 1.4)`,
  )
}

async function measureHere() {
  const outfile = path.join(newFolder(), 'core.mjs')
  await bundle('bench/core.ts', outfile)
  return JSON.parse(spawnSync('node', [outfile], { encoding: 'utf8' }).stdout)
}

/** How long so many check documents of 20 readings take on the command line, its start included, in milliseconds. */
export function timeOfDocuments(count) {
  const file = path.join(newFolder(), 'documents.ndjson')
  const lines = Array.from({ length: count }, (_, line) => {
    const values = Array.from({ length: 20 }, (_, i) =>
      Number((15 + Math.sin(line * 20 + i * 1.7) / 10).toFixed(3)),
    )
    const claim = { parameter: 'mean', relation: 'at-least', value: 15 }
    return JSON.stringify({ id: String(line), claim, evidence: { kind: 'readings', values } })
  })
  writeFileSync(file, lines.join('\n'))
  return timeOf(() => run('check', file))
}

function run(...args) {
  const { status } = spawnSync(BINARY, args, { stdio: 'ignore' })
  if (status !== 0) throw new Error(`true-weight ${args.join(' ')} ended with ${status}`)
}

function timeOf(work) {
  const start = performance.now()
  work()
  return performance.now() - start
}

/** The same work, and no more of it than the library does: its test of 10,000 samples gives a statistic and a p-value. */
const SCRIPT = `
import json, time, numpy as np
from scipy import stats
def timed(run, times=3):
    run()
    taken = []
    for _ in range(times):
        start = time.perf_counter(); run(); taken.append((time.perf_counter() - start) * 1000)
    return sorted(taken)[len(taken) // 2]
x = np.sin(np.arange(1000) * 12.9898)
rng = np.random.default_rng(1)
def bootstrap():
    for _ in range(100):
        draw = x[rng.integers(0, 1000, (100, 1000))]
        draw.mean(axis=1), draw.std(axis=1, ddof=1)
samples = 15 + np.sin(np.arange(200000) * 1.7).reshape(10000, 20) / 10
def tests():
    for row in samples: stats.ttest_1samp(row, 15), stats.shapiro(row)
print(json.dumps({"bootstrap": timed(bootstrap), "exact": timed(lambda: stats.binomtest(300501, 1000000, 0.3)), "tests": timed(tests, 1)}))
`

function measurePython() {
  const { status, stdout } = spawnSync(PYTHON.command, ['-c', SCRIPT], { encoding: 'utf8' })
  if (status !== 0) return undefined
  return JSON.parse(stdout)
}
