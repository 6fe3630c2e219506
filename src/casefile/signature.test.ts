import { calculateJwkThumbprint } from 'jose'
import { canonicalJson } from '@/desk/canonicalJson'
import type { FindingStatement } from '@/desk/signature'
import { signatureWords, signedWith } from '@/words/en/signatureWords'
import { headerOf, jwsOf, newKey, proofOf, registered, signedBy } from '@tests/keys'
import { keysOf, readFindingStatement, readKeyStatement, signatureOf } from './signature'

const AT = '2026-11-03T10:00:00.000Z'
const LATER = '2026-11-04T10:00:00.000Z'
const own = newKey('A. Officer')
const other = newKey('B. Officer')
const statement: FindingStatement = {
  kind: 'true-weight-signature',
  finding: 'ab'.repeat(32),
  trail: { length: 3, hash: 'cd'.repeat(32) },
  at: AT,
}

test('a key is named by its thumbprint', async () => {
  // RFC 8037, A.2 and A.3 (from memory; Node's own cryptography has the same public half).
  const published = { kty: 'OKP', crv: 'Ed25519', x: '11qYAYKxCrfVS_7TyWQHOg7hcvPapiMlrwIaaPcHURo' }
  expect(await calculateJwkThumbprint(published)).toBe('kPrK_qmxVWaYVA9wwBF6Iuo3vVzz7TxHCTwXBygrS4k')
  expect(await calculateJwkThumbprint(own.publicKey)).toBe(own.key)
})

test('what another library signed is read, with its key', async () => {
  expect(await readFindingStatement(signedBy(own, statement))).toEqual({ key: own.key, statement })
  expect(await readKeyStatement(proofOf(own, AT))).toMatchObject({ statement: { name: 'A. Officer' } })
  // One kind of statement is not taken for the other.
  expect(await readKeyStatement(signedBy(own, statement))).toBeUndefined()
  expect(await readFindingStatement(proofOf(own, AT))).toBeUndefined()
})

const text = canonicalJson(statement)
const parts = signedBy(own, statement).split('.')
const replaced = (at: number, part: string) =>
  parts.map((one, index) => (index === at ? part : one)).join('.')
const coded = (value: object) => Buffer.from(JSON.stringify(value)).toString('base64url')

test.each([
  ['nothing', ''],
  ['no JWS', 'a.b.c'],
  ['another payload', replaced(1, coded({ ...statement, finding: 'ef'.repeat(32) }))],
  ['the signature of something else', replaced(2, signedBy(own, { ...statement, at: LATER }).split('.')[2]!)],
  ['no signature', replaced(2, '')],
  ['no algorithm', `${coded({ ...headerOf(own), alg: 'none' })}.${parts[1]}.`],
  ['another key in the header', replaced(0, coded(headerOf(other)))],
  ['the name of another key', jwsOf(own, text, { ...headerOf(own), kid: other.key })],
  ['another algorithm', jwsOf(own, text, { ...headerOf(own), alg: 'HS256' })],
  ['a header that changes what is meant', jwsOf(own, text, { ...headerOf(own), crit: ['b64'], b64: false })],
  ['more in the header', jwsOf(own, text, { ...headerOf(own), jku: 'x' })],
  ['a secret half in the header', jwsOf(own, text, { ...headerOf(own), jwk: { ...own.publicKey, d: 'x' } })],
  ['no key in the header', jwsOf(own, text, { alg: 'EdDSA', kid: own.key })],
  ['a text that is no statement', jwsOf(own, '{"kind":"true-weight-signature"}')],
  ['more than a statement', jwsOf(own, canonicalJson({ ...statement, more: 1 }))],
  ['no JSON', jwsOf(own, 'x')],
  ['more than a signature needs', jwsOf(own, canonicalJson({ ...statement, at: AT + ' '.repeat(9000) }))],
])('%s is no signature', async (_, jws) => {
  expect(await readFindingStatement(jws)).toBeUndefined()
})

const entry = { at: AT, action: 'entered', name: own.name, key: own.key, proof: proofOf(own, AT) } as const
const withdrawn = { ...entry, action: 'withdrawn', at: LATER, proof: '' } as const
const register = registered([], entry)

test('the keys of a register stand for their holders from when to when it says', async () => {
  expect(await keysOf([])).toEqual({ ok: true, keys: [] })
  expect(await keysOf(register)).toEqual({ ok: true, keys: [{ key: own.key, name: own.name, from: AT }] })
  expect(await keysOf(registered(register, withdrawn))).toMatchObject({ keys: [{ from: AT, until: LATER }] })
})

test.each([
  ['an entry that was altered', [{ ...register[0]!, name: 'C. Officer' }], 1],
  ['an entry that is missing', registered(register, withdrawn).slice(1), 1],
  ['a key under a name that it does not say', registered([], { ...entry, name: 'C. Officer' }), 1],
  ['the proof of another key', registered([], { ...entry, key: other.key }), 1],
  ['a key without a proof', registered([], { ...entry, proof: '' }), 1],
  ['a key that is entered twice', registered(register, entry), 2],
  [
    'a key that is withdrawn and was never entered',
    registered(register, { ...withdrawn, key: other.key }),
    2,
  ],
])('%s breaks a register', async (_, entries, number) => {
  expect(await keysOf(entries)).toEqual({ ok: false, number })
})

test.each([
  ['registered', [{ key: own.key, name: own.name, from: AT }]],
  ['registered', [{ key: own.key, name: own.name, from: AT, until: AT }]],
  ['withdrawn', [{ key: own.key, name: own.name, from: LATER }]],
  [
    'withdrawn',
    [{ key: own.key, name: own.name, from: '2026-11-01T00:00:00.000Z', until: '2026-11-02T00:00:00.000Z' }],
  ],
  ['other-name', [{ key: own.key, name: 'C. Officer', from: AT }]],
  ['not-on-register', [{ key: other.key, name: own.name, from: AT }]],
] as const)('a signature is held against the register: %s', async (standing, keys) => {
  const signature = await signatureOf(
    { jws: signedBy(own, statement), signedBy: own.name, createdAt: LATER },
    keys,
  )
  expect(signature).toEqual({ by: 'key', key: own.key, at: AT, standing })
  expect(signatureWords(signature)).toMatch(
    {
      registered: /under this name$/,
      withdrawn: /on that day$/,
      'other-name': /another name$/,
      'not-on-register': /not on/,
    }[standing],
  )
})

test.each([
  [[], LATER, false],
  [[{ key: own.key, name: own.name, from: AT }], LATER, true],
  [[{ key: own.key, name: own.name, from: AT }], AT, true],
  [[{ key: own.key, name: own.name, from: LATER }], AT, false],
  [[{ key: own.key, name: own.name, from: AT, until: AT }], LATER, false],
  [[{ key: own.key, name: 'C. Officer', from: AT }], LATER, false],
] as const)(
  'a finding without the signature of a key is signed by name: %j at %s',
  async (keys, createdAt, hadKey) => {
    const signature = await signatureOf({ jws: '', signedBy: own.name, createdAt }, keys)
    expect(signature).toEqual({ by: 'name', hadKey })
    const though = hadKey ? ', though the register had a key of that name by then' : ''
    expect(signatureWords(signature)).toBe(`by name, without a key${though}`)
    expect(signedWith(signature, true)).toBe(signatureWords(signature))
  },
)

test('a report has the whole key, and whether it was held against a register', () => {
  const signature = { by: 'key', key: own.key, at: AT, standing: 'registered' } as const
  expect(signedWith(signature, true)).toBe(`with the key ${own.key}, which the register has under this name`)
  expect(signedWith(signature, false)).toBe(`with the key ${own.key}, which was held against no register`)
})
