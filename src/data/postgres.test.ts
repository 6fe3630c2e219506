import { once } from 'node:events'
import { createServer, type Socket } from 'node:net'
import { openServer } from './postgres'

// Messages of PostgreSQL's protocol: https://www.postgresql.org/docs/15/protocol-message-formats.html
const message = (kind: string, body: Buffer) => {
  const length = Buffer.alloc(4)
  length.writeInt32BE(body.length + 4)
  return Buffer.concat([Buffer.from(kind), length, body])
}
const AUTHENTICATED = message('R', Buffer.alloc(4))
const READY = message('Z', Buffer.from('I'))
const CUT = message(
  'E',
  Buffer.from('SFATAL\0C57P01\0Mterminating connection due to administrator command\0\0'),
)

/** A server that says all of this at once to whoever comes, and hangs up. */
async function serverThatSays(...said: readonly Buffer[]) {
  const server = createServer((socket: Socket) => {
    socket.on('error', () => {})
    socket.once('data', () => socket.end(Buffer.concat(said)))
  }).listen(0, '127.0.0.1')
  await once(server, 'listening')
  const address = server.address()
  if (address === null || typeof address === 'string') throw new Error('no port')
  return { server, address: `postgres://nobody@127.0.0.1:${address.port}/none` }
}

test.each([
  ['before it is ready', [AUTHENTICATED, CUT]],
  ['as soon as it is ready', [AUTHENTICATED, READY, CUT]],
  ['without a word', [AUTHENTICATED, READY]],
] as const)(
  'a connection that is cut %s is an error to whoever asked for it, and no end of the program',
  async (_, said) => {
    const { server, address } = await serverThatSays(...said)
    await expect(openServer(address)).rejects.toThrow(/terminat|not queryable/)
    server.close()
  },
)
