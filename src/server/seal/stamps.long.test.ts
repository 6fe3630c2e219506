import { createHash } from 'node:crypto'
import { createServer, type RequestListener } from 'node:http'
import type { AddressInfo } from 'node:net'
import { TimeStampResp } from 'pkijs'
import { SIMULATED_CERTIFICATE } from '@/casefile/simulatedAuthority'
import { isFrom, readCertificates, readStamp } from '@/casefile/stamp'
import { opensslAuthority, type TestAuthority } from '@tests/opensslAuthority'
import { stampFrom } from './authority'
import { importKey, simulatedReply } from './simulatedReply'

/** RFC 3161 as OpenSSL makes and reads it, held against the application's own. */

const HASH = createHash('sha256').update('a text').digest('hex')
/** The certificates are of today, and from a moment ago. */
const NOW = new Date(Date.now() + 3_600_000)
let openssl: TestAuthority
beforeAll(() => {
  openssl = opensslAuthority()
})

const tokenIn = (reply: Uint8Array) =>
  new Uint8Array(TimeStampResp.fromBER(Uint8Array.from(reply)).timeStampToken!.toSchema().toBER())
const certificateOf = (pem: string) => readCertificates(pem)[0]!

test('a time stamp that OpenSSL made is read, and held against whose certificate it is', async () => {
  const token = tokenIn(openssl.reply(openssl.query(HASH, '-sha256', '-cert')))
  const stamp = await readStamp(token)
  expect(stamp).toMatchObject({ hash: HASH, by: 'rsa', isSimulated: false })
  expect(Math.abs(new Date(stamp!.at).getTime() - Date.now())).toBeLessThan(60_000)
  expect(await isFrom(token, readCertificates(openssl.rootPem))).toBe(true)
  const simulated = readCertificates(SIMULATED_CERTIFICATE)
  expect(await isFrom(token, simulated)).toBe(false)
  expect(await isFrom(token, [...simulated, ...readCertificates(openssl.rootPem)])).toBe(true)
  // Another root of the same name.
  expect(await isFrom(token, readCertificates(opensslAuthority().rootPem))).toBe(false)
  expect(readCertificates('no certificate')).toEqual([])
  expect(readCertificates(SIMULATED_CERTIFICATE.replace('MII', 'AAA'))).toEqual([])
})

test('of a time stamp with one bit turned none is taken that says something else', async () => {
  const token = tokenIn(openssl.reply(openssl.query(HASH, '-sha256', '-cert')))
  const stamp = await readStamp(token)
  let refused = 0
  const STEP = 13
  for (let at = 0; at < token.length; at += STEP) {
    const other = Uint8Array.from(token)
    other[at]! ^= 1 << (at % 8)
    const read = await readStamp(other)
    if (read === undefined) refused += 1
    else expect(read).toEqual(stamp)
  }
  // The certificate of the root, and lengths and names of algorithms outside of what is signed, say nothing.
  expect(refused).toBeGreaterThan(token.length / STEP / 2)
  for (const short of [
    token.subarray(0, -1),
    token.subarray(0, 40),
    new Uint8Array(0),
    new Uint8Array(200_000),
  ])
    expect(await readStamp(short)).toBeUndefined()
})

test('a time stamp over another kind of hash, or without a certificate, is not taken', async () => {
  const long = createHash('sha512').update('a text').digest('hex')
  expect(await readStamp(tokenIn(openssl.reply(openssl.query(long, '-sha512', '-cert'))))).toBeUndefined()
  expect(await readStamp(tokenIn(openssl.reply(openssl.query(HASH, '-sha256'))))).toBeUndefined()
})

test('OpenSSL takes what the simulated authority made, and knows it from others', async () => {
  const token = await stampFrom(undefined, HASH)
  expect(await readStamp(token)).toMatchObject({
    hash: HASH,
    by: 'Simulated time stamp authority of True Weight',
    isSimulated: true,
  })
  expect(openssl.isTaken(token, HASH, SIMULATED_CERTIFICATE)).toContain('OK')
  expect(openssl.isTaken(token, HASH.replace(/^./, '0'), SIMULATED_CERTIFICATE)).toContain('mismatch')
  expect(openssl.isTaken(token, HASH, openssl.rootPem)).not.toContain('OK')
  expect(await isFrom(token, readCertificates(SIMULATED_CERTIFICATE))).toBe(true)
  expect(await isFrom(token, readCertificates(openssl.rootPem))).toBe(false)
})

test('whose certificate is not for time stamps makes none, nor one that is out of date or not the one that is named', async () => {
  const query = openssl.query(HASH, '-sha256', '-cert')
  const made = async (extensions: string, at = NOW) => {
    const { pem, pkcs8 } = openssl.issue(extensions, extensions)
    const authority = { certificate: certificateOf(pem), key: await importKey(pkcs8) }
    return { authority, stamp: await readStamp(tokenIn(await simulatedReply(query, at, authority))) }
  }
  const { authority, stamp } = await made('stamps')
  expect(stamp).toMatchObject({ hash: HASH, by: 'stamps', isSimulated: false })
  for (const extensions of ['stamps_and_more', 'uncritical', 'nothing'])
    expect((await made(extensions)).stamp).toBeUndefined()
  for (const days of [-2, 101])
    expect((await made('stamps', new Date(NOW.getTime() + days * 86_400_000))).stamp).toBeUndefined()
  const other = certificateOf(openssl.issue('other', 'stamps').pem)
  const renamed = await simulatedReply(query, NOW, { ...authority, named: other })
  expect(await readStamp(tokenIn(renamed))).toBeUndefined()
  const foreign = await simulatedReply(query, NOW, { ...authority, certificate: other })
  expect(await readStamp(tokenIn(foreign))).toBeUndefined()
})

/** The address of a server that answers so, while something is done with it. */
async function served<T>(listener: RequestListener, work: (address: string) => Promise<T>): Promise<T> {
  const server = createServer(listener).listen(0, '127.0.0.1')
  await new Promise((resolve) => server.once('listening', resolve))
  try {
    return await work(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`)
  } finally {
    server.closeAllConnections()
    server.close()
  }
}

/** Answers each query by what is made of it. */
const answering =
  (answer: (query: Uint8Array) => Uint8Array | Promise<Uint8Array>): RequestListener =>
  async (request, response) => {
    const pieces: Buffer[] = []
    for await (const piece of request) pieces.push(piece as Buffer)
    response.setHeader('content-type', 'application/timestamp-reply')
    response.end(await answer(Buffer.concat(pieces)))
  }

test('an authority is asked over the network', async () => {
  const types: unknown[] = []
  const reply = answering((query) => openssl.reply(query))
  const listener: RequestListener = (request, response) => {
    types.push(request.method, request.headers['content-type'])
    reply(request, response)
  }
  const token = await served(listener, (address) => stampFrom(address, HASH))
  expect(types).toEqual(['POST', 'application/timestamp-query'])
  expect(await readStamp(token)).toMatchObject({ hash: HASH, by: 'rsa' })
  expect(openssl.isTaken(token, HASH, openssl.rootPem)).toContain('OK')
})

test('an authority that gives no time stamp is told of', async () => {
  const old = openssl.reply(openssl.query(HASH, '-sha256', '-cert'))
  const refusals: readonly (readonly [RequestListener, RegExp])[] = [
    [answering(() => old), /answers another query/],
    [answering(() => Buffer.from('<html>')), /its answer is no time stamp/],
    [answering(() => Buffer.from([0x30, 5, 0x30, 3, 2, 1, 2])), /refused \(status 2\)/],
    [answering(() => new Uint8Array(200_000)), /too long/],
    [(_, response) => void response.writeHead(503).end(), /status 503/],
    [(request) => void request.socket.destroy(), /can’t be reached/],
  ]
  for (const [listener, words] of refusals)
    await expect(served(listener, (address) => stampFrom(address, HASH))).rejects.toThrow(words)
  await expect(stampFrom('no address', HASH)).rejects.toThrow(/can’t be reached/)
})
