import { execFileSync, spawn } from 'node:child_process'
import { once } from 'node:events'
import path from 'node:path'
import { createInterface } from 'node:readline'

/** What the writer beside this says, a line of JSON each. */
export type Line = Readonly<{
  opened?: Readonly<{ notes: string; value: string; sheets: number; areWhole: boolean; holds: boolean }>
  notes?: number
  value?: number
  sheets?: number
  refused?: string
  /** How long it took to refuse. */
  ms?: number
  read?: number
}>

const FAULTY = path.join(process.cwd(), 'tests/attack/faultyDisk.mjs')

/** How often something is tried: in `npm run attack`, and in `npm test`, which has other things to do. */
export const times = (whole: number, short: number): number =>
  process.env.TRUE_WEIGHT_ATTACK === 'whole' ? whole : short

/** Random numbers from 0 to 1, the same on each run. */
export function randomFrom(seed: number): () => number {
  let state = seed
  return () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32
}

/**
 * Makes a program of one of the files beside this.
 *
 * @returns where it is
 */
export function makeProgram(name: string): string {
  const program = path.join(process.cwd(), `dist/attack-${name}.mjs`)
  const bundle = `import { bundle } from './scripts/bundle.mjs'
    await bundle('tests/attack/${name}.ts', ${JSON.stringify(program)}, {
      conditions: ['react-server'], external: ['@electric-sql/pglite', 'pg', 'pg-copy-streams'] })`
  execFileSync(process.execPath, ['--input-type=module', '-e', bundle])
  return program
}

/** Makes the program that writes without end. */
export const makeWriter = (): string => makeProgram('writer')
const PROGRAM = path.join(process.cwd(), 'dist/attack-writer.mjs')

/** Lets the writer work on a folder until it ends, and tells what it said. */
export async function writerOn(
  folder: string,
  { faults, onLine }: Readonly<{ faults?: object; onLine?: (line: Line, kill: () => void) => void }>,
): Promise<Readonly<{ lines: readonly Line[]; signal: string | null; code: number | null }>> {
  const env = {
    ...process.env,
    TRUE_WEIGHT_DATA: folder,
    DATABASE_URL: '',
    ...(faults ? { FAULTY_DISK: JSON.stringify({ root: folder, ...faults }) } : {}),
  }
  const args = [...(faults ? ['--import', FAULTY] : []), PROGRAM]
  const writer = spawn(process.execPath, args, { env, stdio: ['ignore', 'pipe', 'inherit'] })
  const lines: Line[] = []
  for await (const text of createInterface(writer.stdout)) {
    const line = JSON.parse(text) as Line
    lines.push(line)
    onLine?.(line, () => writer.kill('SIGKILL'))
  }
  if (writer.exitCode === null && writer.signalCode === null) await once(writer, 'exit')
  return { lines, signal: writer.signalCode, code: writer.exitCode }
}

type Confirmed = Readonly<{ notes: number; value: number; sheets: number }>
export const NOTHING: Confirmed = { notes: 0, value: 0, sheets: 0 }

/**
 * Holds what a writer found when it opened the folder to what was confirmed before: all of that is there, and at most the one
 * write that was under way beside it.
 *
 * @returns what it confirmed itself
 */
export function heldTo(confirmed: Confirmed, [first, ...lines]: readonly Line[]): Confirmed {
  const { notes, value, sheets, areWhole, holds } = first!.opened!
  const found: Confirmed = { notes: Number(notes), value: Number(value), sheets }
  for (const key of ['notes', 'value', 'sheets'] as const) {
    expect(found[key]).toBeGreaterThanOrEqual(confirmed[key])
    expect(found[key]).toBeLessThanOrEqual(confirmed[key] + 1)
  }
  expect({ areWhole, holds }).toEqual({ areWhole: true, holds: true })
  return lines.reduce(
    (known, { opened: _, refused: __, read: ___, ms: ____, ...line }) => ({ ...known, ...line }),
    found,
  )
}
