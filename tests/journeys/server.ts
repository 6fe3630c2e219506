import { type ChildProcess, spawn } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'

/** A new data folder takes 5 to 10 s on an idle machine. */
export const STARTING_MS = 180_000
const ROOT = path.resolve(__dirname, '../..')

export type Served = Readonly<{
  address: string
  data: string
  process: ChildProcess
  /** Everything that was printed so far. */
  output: () => string
}>

const running = new Set<ChildProcess>()

export const newDataFolder = () => mkdtempSync(path.join(tmpdir(), 'true-weight-journey-'))

/** Ports of this worker's own; one that another program holds is passed over when the server says so. */
let nextPort = 20_000 + 500 * Number(process.env.JEST_WORKER_ID)
const TAKEN = /Port \d+ on \S+ is taken|EADDRINUSE/

/** Starts the production build as a user does, with a data folder and a port of its own, and waits for its first page. */
export async function serve(options: readonly string[], data = newDataFolder()): Promise<Served> {
  const port = nextPort
  nextPort += 1
  const { child, output } = launch([...options, '--data', data, '--port', String(port)])
  const address = `http://127.0.0.1:${port}`
  await until(
    () => output().includes(`True Weight is at ${address}/`) || child.exitCode !== null,
    STARTING_MS,
  )
  if (child.exitCode === null) return { address, data, process: child, output }
  if (TAKEN.test(output())) return serve(options, data)
  throw new Error(`The server ended with ${child.exitCode}:\n${output()}`)
}

export function launch(options: readonly string[]) {
  const child = spawn(process.execPath, [path.join(ROOT, 'scripts/serve.mjs'), ...options], { cwd: ROOT })
  running.add(child)
  child.once('exit', () => running.delete(child))
  let printed = ''
  child.stdout.on('data', (chunk) => (printed += chunk))
  child.stderr.on('data', (chunk) => (printed += chunk))
  return { child, output: () => printed }
}

/** Ends a server at once, with no chance to tidy up. */
export async function kill({ process: child }: Pick<Served, 'process'>): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return
  const ended = new Promise((resolve) => child.once('exit', resolve))
  child.kill('SIGKILL')
  await ended
}

/** Ends every server that a journey has started. */
export async function killAll(): Promise<void> {
  for (const child of running) await kill({ process: child })
}

export async function until(isTrue: () => boolean | Promise<boolean>, limit: number): Promise<void> {
  const end = Date.now() + limit
  while (!(await isTrue())) {
    if (Date.now() > end) throw new Error(`Waited ${limit} ms in vain for ${isTrue}`)
    await new Promise((resolve) => setTimeout(resolve, 50))
  }
}
