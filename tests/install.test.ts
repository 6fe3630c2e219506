import { execFileSync } from 'node:child_process'
import { cpSync, mkdirSync, mkdtempSync, readFileSync, utimesSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'

/** What npm is asked for where some packages are there, the lock file being as old as they are or newer. */
function asked(
  what: string,
  { has, isLockNewer = false }: Readonly<{ has: 'none' | 'application' | 'all'; isLockNewer?: boolean }>,
): string {
  const root = mkdtempSync(path.join(tmpdir(), 'true-weight-install-'))
  const write = (file: string, text: string, mode = 0o644) => {
    mkdirSync(path.dirname(path.join(root, file)), { recursive: true })
    writeFileSync(path.join(root, file), text, { mode })
  }
  write('bin/npm', `#!/bin/sh\necho "$@" > ${root}/asked\n`, 0o755)
  write('asked', '')
  write('package-lock.json', '{}')
  if (has !== 'none') write('node_modules/.package-lock.json', '{}')
  if (has === 'all') write('node_modules/jest/package.json', '{}')
  const later = new Date(Date.now() + 60_000)
  if (isLockNewer) utimesSync(path.join(root, 'package-lock.json'), later, later)
  cpSync(path.resolve('scripts/install.mjs'), path.join(root, 'scripts/install.mjs'))
  execFileSync(
    process.execPath,
    ['--input-type=module', '-e', `(await import('${root}/scripts/install.mjs')).ensureInstalled('${what}')`],
    { env: { ...process.env, PATH: `${root}/bin:${process.env.PATH}` }, stdio: 'ignore' },
  )
  return readFileSync(path.join(root, 'asked'), 'utf8').trim()
}

const ALL = 'ci --ignore-scripts --loglevel=error --include=dev'
const FEW = 'ci --ignore-scripts --loglevel=error --omit=dev'

test.each([
  ['application', { has: 'none' }, FEW],
  ['application', { has: 'application' }, ''],
  ['application', { has: 'application', isLockNewer: true }, FEW],
  ['application', { has: 'all' }, ''],
  ['application', { has: 'all', isLockNewer: true }, ALL],
  ['all', { has: 'none' }, ALL],
  ['all', { has: 'application' }, ALL],
  ['all', { has: 'all' }, ''],
  ['all', { has: 'all', isLockNewer: true }, ALL],
] as const)('for %s, where %j is so, npm is asked: %s', (what, there, expected) => {
  expect(asked(what, there)).toBe(expected)
})
