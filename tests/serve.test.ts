import { spawnSync } from 'node:child_process'
import { once } from 'node:events'
import { createServer, type Server } from 'node:net'

const serve = (...options: readonly string[]) => {
  const { status, stderr } = spawnSync(process.execPath, ['scripts/serve.mjs', ...options], {
    encoding: 'utf8',
    timeout: 60_000,
  })
  return { status, stderr }
}

/** Takes a port, unless another program has it. */
async function taken(port: number): Promise<Server> {
  const server = createServer()
  await new Promise((resolve) => server.once('error', resolve).listen(port, '127.0.0.1', () => resolve(0)))
  return server
}

test.each([
  ['4180.5', '--port is “4180.5”; it has to be a whole number from 1 to 65535.\n'],
  ['0', '--port is “0”; it has to be a whole number from 1 to 65535.\n'],
  ['65536', '--port is “65536”; it has to be a whole number from 1 to 65535.\n'],
  ['4190', 'Port 4190 is one that no browser goes to. Name another with --port, or leave --port out.\n'],
])('port %s is refused, with what would do', (port, words) => {
  expect(serve('--port', port)).toEqual({ status: 1, stderr: words })
})

test('a port that is taken is refused, and so are all where one is looked for and the last free one is none that browsers go to', async () => {
  const others = Array.from({ length: 50 }, (_, i) => 4180 + i).filter((port) => port !== 4190)
  const servers = await Promise.all(others.map(taken))
  expect(serve('--port', '4180')).toEqual({
    status: 1,
    stderr: 'Port 4180 on 127.0.0.1 is taken. Name another with --port, or leave --port out.\n',
  })
  expect(serve()).toEqual({
    status: 1,
    stderr: 'No port from 4180 to 4229 is free on 127.0.0.1. Name one with --port.\n',
  })
  await Promise.all(
    servers.filter(({ listening }) => listening).map((server) => once(server.close(), 'close')),
  )
})

test('an option that is none is told, with those that are', () => {
  const { status, stderr } = serve('--prot', '4180')
  expect(status).toBe(2)
  expect(stderr).toContain("Unknown option '--prot'")
  expect(stderr).toContain('--port NUMBER      listen there')
})
