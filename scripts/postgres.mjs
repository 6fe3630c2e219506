// A PostgreSQL server of its own, from Debian's packages, for as long as something is done with it.
import { spawn, spawnSync } from 'node:child_process'
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { installFromDebian } from './debian.mjs'

const INSTALLED = '/usr/lib/postgresql'
const PATIENCE_MS = 30_000
const PAUSE_MS = 100

/**
 * Does something with a new server that is gone afterwards.
 *
 * @param work - is given the server's address, to which the name of a database is added
 */
export async function withPostgres(work) {
  const programs = ensurePostgres()
  const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-postgres-'))
  const owner = ownerOf(folder)
  const data = path.join(folder, 'data')
  const initialised = spawnSync(
    path.join(programs, 'initdb'),
    ['-D', data, '-U', 'postgres', '-A', 'trust', '-E', 'UTF8', '--no-sync'],
    { ...owner, stdio: ['ignore', 'ignore', 2] },
  )
  if (initialised.status !== 0) throw new Error(`initdb ended with ${initialised.status}`)
  const server = spawn(
    path.join(programs, 'postgres'),
    ['-D', data, '-k', folder, '-c', 'listen_addresses=', '-c', 'fsync=off', '-c', 'log_min_messages=panic'],
    { ...owner, stdio: ['ignore', 'ignore', 2] },
  )
  const ended = new Promise((resolve) => server.once('exit', resolve))
  try {
    await untilReady(programs, folder)
    return await work(`postgres://postgres@${encodeURIComponent(folder)}`)
  } finally {
    server.kill('SIGINT')
    await ended
    rmSync(folder, { recursive: true, force: true })
  }
}

/** @returns the folder of the server's programs, which it installs where they are missing */
export function ensurePostgres() {
  if (!existsSync(INSTALLED)) installFromDebian('PostgreSQL', ['postgresql'])
  const [newest] = readdirSync(INSTALLED).sort((a, b) => Number(b) - Number(a))
  return path.join(INSTALLED, newest, 'bin')
}

/** PostgreSQL does not run as root: then the user that its package made runs it. */
function ownerOf(folder) {
  if (process.getuid() !== 0) return {}
  const idOf = (option) => Number(spawnSync('id', [option, 'postgres'], { encoding: 'utf8' }).stdout)
  const owner = { uid: idOf('-u'), gid: idOf('-g') }
  chownSync(folder, owner.uid, owner.gid)
  return { ...owner, cwd: folder }
}

async function untilReady(programs, folder) {
  const program = path.join(programs, 'pg_isready')
  for (let waited = 0; waited < PATIENCE_MS; waited += PAUSE_MS) {
    if (spawnSync(program, ['-q', '-h', folder, '-U', 'postgres']).status === 0) return
    await wait(PAUSE_MS)
  }
  throw new Error('PostgreSQL did not become ready.')
}
