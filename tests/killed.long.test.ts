import { execFileSync, spawn } from 'node:child_process'
import { once } from 'node:events'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { createInterface } from 'node:readline'

const TIMES = 50
const LONGEST_MS = 400

type Line = Readonly<{
  opened?: Readonly<{ notes: string; value: string; sheets: number; areWhole: boolean; holds: boolean }>
  notes?: number
  value?: number
  sheets?: number
}>

/** Random, and the same on each run. */
let state = 20261125
const random = () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32

const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-killed-'))
const program = path.join(process.cwd(), 'dist/killed-writer.mjs')

beforeAll(() => {
  const bundle = `import { bundle } from './scripts/bundle.mjs'
    await bundle('tests/killed/writer.ts', ${JSON.stringify(program)}, {
      conditions: ['react-server'], external: ['@electric-sql/pglite', 'pg', 'pg-copy-streams'] })`
  execFileSync(process.execPath, ['--input-type=module', '-e', bundle])
})

/** Lets the writer work for a while, kills it, and tells what it confirmed. */
async function killedAfter(ms: number): Promise<readonly Line[]> {
  const env = { ...process.env, TRUE_WEIGHT_DATA: folder, DATABASE_URL: '' }
  const writer = spawn(process.execPath, [program], { env, stdio: ['ignore', 'pipe', 'inherit'] })
  const lines: Line[] = []
  for await (const line of createInterface(writer.stdout)) {
    lines.push(JSON.parse(line))
    if (lines.length === 1) setTimeout(() => writer.kill('SIGKILL'), ms)
  }
  if (writer.exitCode === null && writer.signalCode === null) await once(writer, 'exit')
  return lines
}

test(`nothing that was confirmed is lost when the process is killed ${TIMES} times in the middle of writing`, async () => {
  let confirmed = { notes: 0, value: 0, sheets: 0 }
  let writes = 0
  for (let time = 0; time < TIMES; time += 1) {
    const [first, ...lines] = await killedAfter(random() * LONGEST_MS)
    const { notes, value, sheets, areWhole, holds } = first!.opened!
    // What was confirmed is there; at most the one write that was under way is there beside it.
    const found = { notes: Number(notes), value: Number(value), sheets }
    for (const key of ['notes', 'value', 'sheets'] as const) {
      expect(found[key]).toBeGreaterThanOrEqual(confirmed[key])
      expect(found[key]).toBeLessThanOrEqual(confirmed[key] + 1)
    }
    expect({ areWhole, holds }).toEqual({ areWhole: true, holds: true })
    confirmed = lines.reduce((known, { opened: _, ...line }) => ({ ...known, ...line }), found)
    writes += lines.length
  }
  expect(writes).toBeGreaterThan(TIMES)
}, 300_000)
