import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { exampleCase, SACKS } from '@tests/exampleCase'
import { signedFinding, withSigned } from '@tests/signedFinding'
import { writeCaseFile } from '@/casefile/write'
import { USUAL_OPTIONS } from '@/desk/reportOptions'
import { markdownOf } from '@/report/markdown'
import { reportOf } from '@/report/report'

// What docs/VERIFY.md tells an outsider to do is done here as it stands there, with the programs that it names.

const BLOCK = /^```(sh|python)\n(.*?)^```$/gms
const steps = [...readFileSync('docs/VERIFY.md', 'utf8').matchAll(BLOCK)].map(([, language, text]) => ({
  command: language === 'sh' ? ['bash', '--norc', '-euo', 'pipefail', '-c', text!] : ['python3', '-c', text!],
}))
type Entries = Record<string, Uint8Array>

const content = exampleCase([SACKS])
const made = signedFinding(content, 1).then((finding) => withSigned(content, [finding]))

async function caseFile(): Promise<Entries> {
  const pieces = []
  for await (const piece of writeCaseFile(await made)) pieces.push(piece)
  return unzipSync(Buffer.concat(pieces))
}

/** Does every step on a case file. @returns of each what it printed, or how it failed */
function verified(entries: Entries) {
  const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-verify-'))
  writeFileSync(path.join(folder, 'case.zip'), zipSync(entries))
  return steps.map(({ command: [program, ...args] }, at) => {
    const cwd = at === 0 ? folder : path.join(folder, 'case')
    const { status, stdout, stderr, error } = spawnSync(program!, args, {
      cwd,
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'pipe'],
    })
    if (error) throw error
    return { status, stdout, stderr }
  })
}

/** The entries with one altered. */
async function altered(name: string, from: string, to: string): Promise<Entries> {
  const entries = await caseFile()
  const text = strFromU8(entries[name]!)
  expect(text).toContain(from)
  return { ...entries, [name]: strToU8(text.replace(from, to)) }
}

test('every step of it passes on a case file, and prints what the report states', async () => {
  const done = verified(await caseFile())
  expect(done.map(({ status, stderr }) => [status, stderr])).toEqual(steps.map(() => [0, '']))
  const report = markdownOf(await reportOf(await made, USUAL_OPTIONS))
  const whole = done.map(({ stdout }) => stdout).join('')
  const hashes = whole.match(/[0-9a-f]{64}/g)!
  expect(new Set(hashes).size).toBe(3)
  for (const hash of hashes) expect(report).toContain(hash)
  expect(whole).toContain('the sample contradicts the claim that the mean net mass is at least 15')
})

test.each([
  ['trail.ndjson', '"action":"sample-added"', '"action":"sample-changed"', [0, 1]],
  ['findings/01-01.json', 'is at least 15', 'is at least 14', [0, 2]],
  ['checks/01.json', '14.93', '14.92', [0, 4, 5]],
  ['results/01.json', '"statistic":-1.88', '"statistic":-1.89', [0, 5]],
] as const)('an altered %s fails where it is looked at', async (name, from, to, failing) => {
  const done = verified(await altered(name, from, to))
  expect(done.flatMap(({ status }, at) => (status === 0 ? [] : [at]))).toEqual(failing)
})
