import { strToU8, unzipSync, zipSync } from 'fflate'
import { createHash } from 'node:crypto'
import type { CaseContent } from '@/casefile/content'
import { readCaseFile } from '@/casefile/read'
import { canonicalJson } from '@/desk/canonicalJson'
import { hashesOf } from '@/casefile/columnHash'
import { randomFrom, times } from './writing'
import { honest, bytesOf, relinked } from './honestCase'

const MUTATIONS = times(500, 120)
const random = randomFrom(20261130)

/** Every text and number in a JSON value, to be changed. */
function leaves(
  value: unknown,
  path: readonly (string | number)[] = [],
): readonly (readonly (string | number)[])[] {
  if (Array.isArray(value)) return value.flatMap((one, at) => leaves(one, [...path, at]))
  if (value !== null && typeof value === 'object')
    return Object.entries(value).flatMap(([key, one]) => leaves(one, [...path, key]))
  return [path]
}

function altered(value: unknown): unknown {
  if (typeof value === 'number') return value + 1
  if (typeof value === 'boolean') return !value
  if (value === null) return 'x'
  const text = String(value)
  const at = Math.floor(random() * (text.length + 1))
  return `${text.slice(0, at)}${random() < 0.5 ? '' : 'x'}${text.slice(at + 1)}`
}

/** What of a record the trail does not tell: how often and when it was stored. */
const UNTOLD = /revision|createdAt|updatedAt/
const plainOf = async (content: CaseContent) =>
  canonicalJson({
    case: content.case,
    claims: content.claims,
    findings: content.findings,
    samples: await Promise.all(
      content.samples.map(async ({ sheet, ...own }) => ({
        ...own,
        hashes: sheet ? await hashesOf(await sheet.columns()) : null,
      })),
    ),
  })
    .replace(/"(revision|createdAt|updatedAt)":("[^"]*"|\d+)/g, '')
    // Told of, and not refused: see above.
    .replace(/("by":"B\. Weigher","reason":"the sack was torn","row":)\d+/, '$1')

test(`of ${MUTATIONS} altered case files, their hashes made anew, none is taken that says something else`, async () => {
  const original = await honest()
  const entries = unzipSync(await bytesOf(original))
  const told = await plainOf(original)
  let taken = 0
  for (let at = 0; at < MUTATIONS; at += 1) {
    const files = { ...entries }
    const paths = Object.keys(files).filter((path) =>
      /^(claims|samples|findings|case|checks|results|trail)/.test(path),
    )
    const path = paths[Math.floor(random() * paths.length)]!
    const text = Buffer.from(files[path]!).toString('utf8')
    if (random() < 0.15) delete files[path]
    else if (path.endsWith('.csv'))
      files[path] = strToU8(text.replace(/\d(?=\D*$)/, (digit) => String((Number(digit) + 1) % 10)))
    else {
      const lines = path.endsWith('.ndjson') ? text.trim().split('\n') : [text]
      const place = Math.floor(random() * lines.length)
      const value = JSON.parse(lines[place]!)
      const leaf = leaves(value).filter((one) => !UNTOLD.test(one.join('.')))
      const chosen = leaf[Math.floor(random() * leaf.length)]!
      let holder = value
      for (const key of chosen.slice(0, -1)) holder = holder[key]
      holder[chosen.at(-1)!] = altered(holder[chosen.at(-1)!])
      lines[place] = canonicalJson(value)
      files[path] = strToU8(`${lines.join('\n')}\n`)
    }
    const read = await readCaseFile(zipSync(await rehashed(files)))
    if (!read.ok) continue
    taken += 1
    expect({ path, told: await plainOf(read.value.content) }).toEqual({ path, told })
  }
  expect(taken).toBeLessThan(MUTATIONS)
}, 300_000)

/** The files with a trail whose chain holds and a manifest whose hashes do. */
async function rehashed(files: Record<string, Uint8Array>): Promise<Record<string, Uint8Array>> {
  const out = { ...files }
  const manifest = JSON.parse(Buffer.from(out['manifest.json']!).toString('utf8'))
  const trail = out['trail.ndjson']
  if (trail) {
    const linked = relinked(
      Buffer.from(trail)
        .toString('utf8')
        .trim()
        .split('\n')
        .map((line) => JSON.parse(line)),
    )
    out['trail.ndjson'] = strToU8(linked.trail.map((entry) => `${canonicalJson(entry)}\n`).join(''))
    manifest.trail = linked.head
  }
  delete out['manifest.json']
  manifest.files = Object.entries(out).map(([path, bytes]) => ({
    path,
    bytes: bytes.length,
    sha256: createHash('sha256').update(bytes).digest('hex'),
  }))
  return { ...out, 'manifest.json': strToU8(JSON.stringify(manifest)) }
}
