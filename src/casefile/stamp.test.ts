import { readFileSync } from 'node:fs'
import { readCertificates, readStamp, isFrom } from './stamp'
test('x', async () => {
  const t = readFileSync('/tmp/tsa/r.tst')
  console.log(await readStamp(t))
  const ca = readCertificates(readFileSync('/tmp/tsa/ca.pem', 'utf8'))
  console.log(
    await isFrom(t, ca),
    await isFrom(t, []),
    await isFrom(t, readCertificates(readFileSync('/tmp/tsa/sim.pem', 'utf8'))),
    await isFrom(t, readCertificates(readFileSync('/tmp/tsa/tsa.pem', 'utf8'))),
  )
  let ok = 0
  for (let i = 0; i < t.length; i++) {
    const c = Uint8Array.from(t)
    c[i]! ^= 1
    const r = await readStamp(c)
    if (r) {
      ok++
      console.log(i, r)
    }
  }
  console.log(ok, t.length)
})
