// Servers of the production build, each on a port of its own: benches may be run side by side.
import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { mkdtempSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { ROOT } from '../scripts/install.mjs'

export const newFolder = () => mkdtempSync(path.join(tmpdir(), 'true-weight-bench-'))

/** Has `work` done with the address of a server, and with its process, which is then ended. */
export async function withServer(options, work) {
  const { process: server, address } = await startServer(options)
  try {
    return await work(address, server)
  } finally {
    server.kill('SIGKILL')
  }
}

/** A server that answers: its process and its address. */
export async function startServer(options, env = {}) {
  const server = spawn(
    process.execPath,
    ['scripts/serve.mjs', '--port', String(await freePort()), ...options],
    { cwd: ROOT, env: { ...process.env, ...env } },
  )
  return { process: server, address: await addressOf(server) }
}

/** The system gives them out one after the other. */
async function freePort() {
  const probe = createServer().listen(0, '127.0.0.1')
  await once(probe, 'listening')
  const { port } = probe.address()
  probe.close()
  await once(probe, 'close')
  return port
}

/** The address that a server prints once it answers. */
export async function addressOf(server) {
  let printed = ''
  for (const stream of [server.stdout, server.stderr]) stream.on('data', (chunk) => (printed += chunk))
  const ended = once(server, 'exit').then(() => {
    throw new Error(`The server ended:\n${printed}`)
  })
  ended.catch(() => {})
  for (;;) {
    const found = printed.match(/True Weight is at (\S+)/)
    if (found) return found[1]
    await Promise.race([ended, new Promise((resolve) => setTimeout(resolve, 20))])
  }
}
