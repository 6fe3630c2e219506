import { sha256 } from './sha256'

const scope = globalThis as { isSecureContext?: boolean }
afterEach(() => {
  delete scope.isSecureContext
  jest.restoreAllMocks()
})

// FIPS 180-2, appendix B.1 and B.2; the last is what `printf ü€ | sha256sum` says.
const DIGESTS = [
  ['abc', 'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad'],
  [
    'abcdbcdecdefdefgefghfghighijhijkijkljklmklmnlmnomnopnopq',
    '248d6a61d20638b8e5c026930c3e6039a33ce45964ff2167f6ecedd419db06c1',
  ],
  ['ü€', 'efb65b779538006d489299318d8a96a512e6b42d1127d64a0afa38169c30c33a'],
]

describe.each([true, false])('where the browser computes it itself is %s', (isSecureContext) => {
  test.each(DIGESTS)('the digest of “%s”', async (text, digest) => {
    scope.isSecureContext = isSecureContext
    if (!isSecureContext) jest.spyOn(crypto.subtle, 'digest').mockRejectedValue(new Error('kept from it'))
    expect(await sha256(text)).toBe(digest)
  })
})
