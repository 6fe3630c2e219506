import { signedIn } from './signedText'

const finding = { outcome: 'supported', sentence: 'So it is.' }
const text = (result: object) =>
  JSON.stringify({
    kind: 'true-weight-signed-finding',
    claim: { id: 'a', caseId: 'b', draft: { remarks: '' } },
    document: { claim: { parameter: 'mean' } },
    result: { ok: true, coreVersion: '0.8.0', finding, ...result },
    signedBy: 'A',
    signedOn: '2026-11-03',
  })

test('a text that was signed has a test, or is of a whole lot', () => {
  expect(signedIn(text({ kind: 'mean', test: { method: 't' } }))?.result.finding).toEqual(finding)
  expect(signedIn(text({ test: { method: 't' } }))).toBeDefined()
  expect(signedIn(text({ kind: 'census' }))).toBeDefined()
  expect(signedIn(text({ kind: 'mean' }))).toBeUndefined()
  expect(signedIn(text({}))).toBeUndefined()
  expect(signedIn('no JSON')).toBeUndefined()
})
