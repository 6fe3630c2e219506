import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'

const CONFIG = (folder: string) => `
[req]
distinguished_name = name
prompt = no
x509_extensions = root
[name]
CN = Test root
[root]
basicConstraints = critical, CA:TRUE
keyUsage = critical, keyCertSign
[stamps]
basicConstraints = CA:FALSE
extendedKeyUsage = critical, timeStamping
[stamps_and_more]
extendedKeyUsage = critical, timeStamping, emailProtection
[uncritical]
extendedKeyUsage = timeStamping
[nothing]
basicConstraints = CA:FALSE
[tsa]
default_tsa = own
[own]
serial = ${folder}/serial
signer_cert = ${folder}/rsa.pem
certs = ${folder}/root.pem
signer_key = ${folder}/rsa.key
signer_digest = sha256
default_policy = 2.999.2
digests = sha256, sha512
ess_cert_id_alg = sha256
`

export type TestAuthority = ReturnType<typeof opensslAuthority>

/** A time-stamp authority under a root of its own, by OpenSSL: another program than the one that is tested. */
export function opensslAuthority() {
  const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-authority-'))
  const file = (name: string) => path.join(folder, name)
  const run = (...args: string[]) =>
    execFileSync('openssl', args, { cwd: folder, stdio: ['ignore', 'pipe', 'pipe'] })
  writeFileSync(file('openssl.cnf'), CONFIG(folder))
  writeFileSync(file('serial'), '01')
  const root = [
    '-newkey',
    'rsa:2048',
    '-nodes',
    '-keyout',
    'root.key',
    '-config',
    'openssl.cnf',
    '-out',
    'root.pem',
  ]
  run('req', '-x509', ...root, '-days', '100')
  /** A certificate under the root. */
  const issue = (name: string, extensions: string, key: readonly string[]) => {
    run('genpkey', ...key, '-out', `${name}.key`)
    run('req', '-new', '-key', `${name}.key`, '-subj', `/O=Test office/CN=${name}`, '-out', `${name}.csr`)
    const signing = ['-CA', 'root.pem', '-CAkey', 'root.key', '-CAcreateserial', '-days', '100']
    const extended = ['-extfile', 'openssl.cnf', '-extensions', extensions]
    run('x509', '-req', '-in', `${name}.csr`, ...signing, ...extended, '-out', `${name}.pem`)
    const pkcs8 = run('pkcs8', '-topk8', '-nocrypt', '-in', `${name}.key`, '-outform', 'DER')
    return { pem: readFileSync(file(`${name}.pem`), 'utf8'), pkcs8 }
  }
  issue('rsa', 'stamps', ['-algorithm', 'RSA'])
  return {
    file,
    rootPem: readFileSync(file('root.pem'), 'utf8'),
    /** A certificate with a key on P-256. */
    issue: (name: string, extensions: string) =>
      issue(name, extensions, ['-algorithm', 'EC', '-pkeyopt', 'ec_paramgen_curve:P-256']),
    /** The reply to a query, both in DER. */
    reply: (query: Uint8Array) => {
      writeFileSync(file('query'), query)
      run('ts', '-reply', '-config', 'openssl.cnf', '-queryfile', 'query', '-out', 'reply')
      return readFileSync(file('reply'))
    },
    /** A query over a hash, by OpenSSL too. */
    query: (hash: string, ...options: string[]) =>
      run('ts', '-query', '-digest', hash, ...options, '-no_nonce'),
    /** Whether OpenSSL takes a token for one over a hash by an authority. */
    isTaken: (token: Uint8Array, hash: string, pem: string) => {
      writeFileSync(file('token'), token)
      writeFileSync(file('trusted.pem'), pem)
      try {
        return `${run('ts', '-verify', '-digest', hash, '-in', 'token', '-token_in', '-CAfile', 'trusted.pem')}`
      } catch (error) {
        return `${(error as Readonly<{ stderr: Buffer }>).stderr}`
      }
    },
  }
}
