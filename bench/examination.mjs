// A cross-examination: all of it, and the question that takes longest.
import { spawnSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { bundle } from '../scripts/bundle.mjs'

export async function measureExamination() {
  const outfile = path.join(mkdtempSync(path.join(tmpdir(), 'true-weight-bench-')), 'examination.mjs')
  await bundle('bench/examination.ts', outfile)
  const results = JSON.parse(spawnSync('node', [outfile], { encoding: 'utf8' }).stdout)
  for (const { size, questions } of results) {
    const all = questions.reduce((sum, { ms }) => sum + ms, 0)
    const [longest] = questions.toSorted((a, b) => b.ms - a.ms)
    console.log(
      `cross-examination of ${size} readings: ${all.toFixed(0)} ms for ${questions.length} questions, ` +
        `${longest.ms.toFixed(0)} ms of it “${longest.key}”`,
    )
  }
}
