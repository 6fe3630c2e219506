// The one test command: installs what is missing, then type-check, lint, unit tests and browser journeys.
import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { existsSync, mkdtempSync, readdirSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { ensureCommonTools, ensureOpenssl, ensurePoppler } from './debian.mjs'
import { ensureBrowser } from './ensureBrowser.mjs'
import { ensureInstalled, ROOT } from './install.mjs'
import { ensurePostgres, withPostgres } from './postgres.mjs'
import ownTemporaryFolder from './temporary.mjs'

ownTemporaryFolder()
const REPORTS = mkdtempSync(path.join(tmpdir(), 'true-weight-test-'))
let passed = 0
let failed = 0

/** Does something, and says before and after what it is and how long it took. */
async function timed(name, run) {
  console.log(`\n== ${name}`)
  const start = performance.now()
  await run()
  console.log(`\n== ${name}: ${Math.round((performance.now() - start) / 1000)} s`)
}

/** A step that passes or fails as a whole. */
const step = (name, run) =>
  timed(name, async () => {
    try {
      await run()
      passed += 1
    } catch (error) {
      failed += 1
      console.error(`${name} failed: ${error.message}`)
    }
  })

/** @returns the status that a script of the project ends with */
async function npm([name, ...args], options) {
  const command = ['run', '--silent', name, '--', ...args]
  const [status] = await once(spawn('npm', command, { cwd: ROOT, ...options }), 'exit')
  return status
}

async function script(...args) {
  const status = await npm(args, { stdio: ['ignore', 1, 2] })
  if (status !== 0) throw new Error(`npm run ${args.join(' ')} ended with ${status}`)
}

/** The tests that name a test database, which may as well be one on a PostgreSQL server, once more on one. */
const onPostgres = () =>
  withPostgres((server) =>
    suite('Unit tests on PostgreSQL', 'unit:all', ['--runTestsByPath', ...testsOfDatabase()], {
      TRUE_WEIGHT_TEST_SERVER: server,
    }),
  )

const testsOfDatabase = () =>
  ['src', 'tests']
    .flatMap((folder) =>
      readdirSync(path.join(ROOT, folder), { recursive: true, encoding: 'utf8' }).map((file) =>
        path.join(folder, file),
      ),
    )
    .filter((file) => file.endsWith('.test.ts'))
    .filter((file) => readFileSync(path.join(ROOT, file), 'utf8').includes('TestDatabase'))

/** Runs a suite and counts its tests one by one; one that cannot be loaded counts as failed. */
const suite = (name, ...asked) => timed(name, () => counted(name, ...asked))

async function counted(name, run, paths = [], env = {}) {
  const report = path.join(REPORTS, `${name.replaceAll(' ', '-')}.json`)
  const status = await npm([run, '--ci', '--json', `--outputFile=${report}`, ...paths], {
    stdio: ['ignore', 'ignore', 2],
    env: { ...process.env, ...env },
  })
  const result = existsSync(report) ? JSON.parse(readFileSync(report, 'utf8')) : undefined
  passed += result?.numPassedTests ?? 0
  const broken = (result?.numFailedTests ?? 0) + (result?.numRuntimeErrorTestSuites ?? 1)
  failed += broken > 0 || status === 0 ? broken : 1
}

ensureInstalled('all')
// What waits for the disk, or uses one processor only, goes side by side.
await Promise.all([
  step('Types', () => script('typecheck')),
  step('Rules', () => script('rules')),
  step('Layout', () => script('layout')),
  step('Debian’s packages', () =>
    [ensureOpenssl, ensurePoppler, ensureCommonTools, ensurePostgres, ensureBrowser].forEach((ensure) =>
      ensure(),
    ),
  ),
])
await suite('Unit tests', 'unit:all')
await Promise.all([step('PostgreSQL', onPostgres), step('Production build', () => script('build'))])
await suite('Journeys', 'journey')
// Each is on one processor most of the time. These share what they build; the others take about as long.
const WITH_DESK = ['desk', 'growth', 'stored', 'size', 'keystroke']
await Promise.all([
  step('Benches of the desk', () => script('bench:tiny', ...WITH_DESK)),
  step('Other benches', () => script('bench:tiny', '--but', ...WITH_DESK)),
])

console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)
