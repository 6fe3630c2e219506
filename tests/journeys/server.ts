import { type ChildProcess, spawn } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { createServer } from 'node:net'
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

/** Starts the production build as a user does, with a data folder and a port of its own, and waits for its first page. */
export async function serve(options: readonly string[], data = newDataFolder()): Promise<Served> {
  const port = await freePort()
  const { child, output } = launch([...options, '--data', data, '--port', String(port)])
  const address = `http://127.0.0.1:${port}`
  await until(
    () => output().includes(`True Weight is at ${address}/`) || child.exitCode !== null,
    STARTING_MS,
  )
  if (child.exitCode !== null) throw new Error(`The server ended with ${child.exitCode}:\n${output()}`)
  return { address, data, process: child, output }
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

function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', reject)
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => resolve(port))
    })
  })
}
