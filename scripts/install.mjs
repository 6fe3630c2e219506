// Installs the packages of the lock file where they are missing or older than it: those that the application is built of and
// runs with, or all, with what tests and measures it.
import { spawnSync } from 'node:child_process'
import { statSync } from 'node:fs'
import path from 'node:path'

export const ROOT = path.resolve(import.meta.dirname, '..')

const MIN_NODE = [20, 20]
/** A package that is there where all are. */
const FOR_DEVELOPERS = 'node_modules/jest/package.json'

/** @param what - `all` also has what only developers need, which whoever tries the demo does not wait for */
export function ensureInstalled(what = 'application') {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < MIN_NODE[0] || (major === MIN_NODE[0] && minor < MIN_NODE[1])) {
    throw new Error(
      `This is Node ${process.versions.node}; True Weight needs ${MIN_NODE.join('.')} or later.`,
    )
  }
  const installed = modifiedAt('node_modules/.package-lock.json')
  const isThere = installed >= modifiedAt('package-lock.json')
  const hasAll = modifiedAt(FOR_DEVELOPERS) > 0
  if (isThere && (hasAll || what === 'application')) return
  console.error('Installing packages …')
  // Whoever has all of them keeps them.
  const which = hasAll || what === 'all' ? '--include=dev' : '--omit=dev'
  run('npm', ['ci', '--ignore-scripts', '--loglevel=error', which])
}

/** Runs a command to its end; what it prints goes to standard error, which programs do not read. */
export function run(command, args, env = {}) {
  const { status, error } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: ['ignore', 2, 2],
    env: { ...process.env, ...env },
  })
  if (error) throw error
  if (status !== 0)
    throw new Error(`${command} ${args.join(' ')} ended with ${status}; its output above says why.`)
}

function modifiedAt(file) {
  return statSync(path.join(ROOT, file), { throwIfNoEntry: false })?.mtimeMs ?? 0
}
