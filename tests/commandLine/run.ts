import { spawnSync } from 'node:child_process'
import path from 'node:path'

export const BINARY = path.join(process.cwd(), 'bin/true-weight')

export function run(args: readonly string[], input = '') {
  const { status, stdout, stderr } = spawnSync(BINARY, args, { input, encoding: 'utf8', maxBuffer: 2 ** 28 })
  const results = stdout.split('\n').filter(Boolean)
  return { status, results, stderr }
}
