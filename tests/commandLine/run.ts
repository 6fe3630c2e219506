import { spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'

export const BINARY = path.join(process.cwd(), 'bin/true-weight')

export function run(args: readonly string[], input = '') {
  const { status, stdout, stderr } = spawnSync(BINARY, args, { input, encoding: 'utf8', maxBuffer: 2 ** 28 })
  const results = stdout.split('\n').filter(Boolean)
  return { status, results, stderr }
}

/** Checks a column of a CSV file of this text. */
export function checkCsv(args: readonly string[], text: string) {
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'true-weight-')), 'deliveries.csv')
  writeFileSync(file, text)
  const { status, results, stderr } = run(['check', '--csv', file, ...args])
  return { status, result: results[0] === undefined ? undefined : JSON.parse(results[0]), stderr }
}
