import { type ChildProcess, spawn } from 'node:child_process'
import { cpSync, mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'

/** A server with a new data folder takes 4 s on an idle machine, with the demo 8. */
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

const newDataFolder = () => mkdtempSync(path.join(tmpdir(), 'true-weight-journey-'))

/** Ports of this worker's own, or of the set-up before them; one that another program holds is passed over when the server says so. */
let nextPort = 20_000 + 500 * Number(process.env.JEST_WORKER_ID ?? 0)
const TAKEN = /Port \d+ on \S+ is taken|EADDRINUSE/

/** Starts the production build as a user does, with a data folder and a port of its own (PORT in an option), and waits for its first page. */
export async function serve(options: readonly string[], data = newDataFolder()): Promise<Served> {
  const port = nextPort
  nextPort += 1
  const stated = options.map((option) => option.replace('PORT', String(port)))
  const { child, output } = launch([...stated, '--data', data, '--port', String(port)])
  const address = `http://127.0.0.1:${port}`
  await until(
    () => output().includes(`True Weight is at ${address}/`) || hasEnded({ process: child }),
    STARTING_MS,
  )
  if (!hasEnded({ process: child })) return { address, data, process: child, output }
  if (TAKEN.test(output())) return serve(options, data)
  throw new Error(`The server ended with ${child.exitCode}:\n${output()}`)
}

/** Serves a data folder of its own that nobody has changed yet, with the demo in it where that is served. */
export function serveFresh(options: readonly string[]): Promise<Served> {
  const data = newDataFolder()
  if (options.includes('--demo')) cpSync(process.env.TRUE_WEIGHT_TEST_DEMO!, data, { recursive: true })
  return serve(options, data)
}

export function launch(options: readonly string[]) {
  // What a file of journeys sets of its environment is the server's too.
  const { env } = process
  const child = spawn(process.execPath, [path.join(ROOT, 'scripts/serve.mjs'), ...options], {
    cwd: ROOT,
    env,
  })
  running.add(child)
  child.once('exit', () => running.delete(child))
  let printed = ''
  child.stdout.on('data', (chunk) => (printed += chunk))
  child.stderr.on('data', (chunk) => (printed += chunk))
  return { child, output: () => printed }
}

/** Backs up everything to a file, or restores it, as `npm run backup` and `npm run restore` have a server do. */
export async function keep(
  { address, data }: Served,
  what: 'backup' | 'restore',
  file: string,
): Promise<void> {
  const { token } = JSON.parse(readFileSync(path.join(data, 'in-use.json'), 'utf8'))
  const answer = await fetch(`${address}/api/backup`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Authorization: `Bearer ${token}` },
    body: JSON.stringify({ do: what, file }),
  })
  if (!answer.ok) throw new Error(`${what} was refused: ${await answer.text()}`)
}

export const hasEnded = ({ process: child }: Pick<Served, 'process'>) =>
  child.exitCode !== null || child.signalCode !== null

/** Ends a server at once, with no chance to tidy up. */
export async function kill(served: Pick<Served, 'process'>): Promise<void> {
  const { process: child } = served
  if (hasEnded(served)) return
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

/** Where a file is brought in as a sample of a case. */
export const samplesAt = (caseId: string, fileName: string): string =>
  `/api/cases/${caseId}/samples?question=${encodeURIComponent(JSON.stringify({ fileName, by: 'A' }))}`
