import { canonicalJson } from '@/desk/canonicalJson'
import { formatCount } from '@/words/figures'
import { bytesOfColumn } from '@/intake/sheet/columnBytes'
import type { CaseContent, ContentSample } from './content'

/**
 * Whether a case that comes in from its file goes on from the same case that is here, so that it may take its place: its trail
 * begins with the whole trail of the one here, and no claim, sample, reading of a file or signed finding is lost.
 *
 * @returns undefined where it does, else why not, in words
 */
export async function whyNotGoingOn(here: CaseContent, file: CaseContent): Promise<string | undefined> {
  const [known, given] = [here.trail.length, file.trail.length].map(formatCount)
  const shared = sharedEntries(here, file)
  if (shared === file.trail.length)
    return `it has ${known} entries on its trail here, and the file holds nothing newer: its trail ends at entry ${given}.`
  if (shared < here.trail.length)
    return `it was changed both here and in the file since entry ${formatCount(shared)} of its trail. Bring it in where it is not, and carry over what was changed.`
  const lost = await lostFrom(here, file)
  return lost && `the file goes on from it, but without ${lost}, and nothing that is here may be lost.`
}

/** How many entries both trails begin with: the hash of each stands for all before it. */
function sharedEntries(here: CaseContent, file: CaseContent): number {
  const other = here.trail.findIndex(({ hash }, at) => hash !== file.trail[at]?.hash)
  return other === -1 ? here.trail.length : other
}

async function lostFrom(here: CaseContent, file: CaseContent): Promise<string | undefined> {
  const claims = new Set(file.claims.map(({ id }) => id))
  const claim = here.claims.find(({ id }) => !claims.has(id))
  if (claim) return `the claim ${claim.id}`
  const signed = new Set(file.findings.map(({ id, fingerprint }) => `${id} ${fingerprint}`))
  const finding = here.findings.find(({ id, fingerprint }) => !signed.has(`${id} ${fingerprint}`))
  if (finding) return `the signed finding ${finding.number} of claim ${finding.claimId}`
  const samples = new Map(file.samples.map((sample) => [sample.id, sample]))
  for (const sample of here.samples) {
    const other = samples.get(sample.id)
    const name = sample.draft.name || sample.id
    if (!other) return `the sample ${name}`
    if (!(await hasSameFile(sample, other))) return `the file of the sample ${name} as it is`
  }
  return undefined
}

/** A sample is brought in from its file once: what the file is called and hashed as, and its cells, never change. */
async function hasSameFile(one: ContentSample, other: ContentSample): Promise<boolean> {
  if (!one.sheet) return true
  if (canonicalJson(one.file) !== canonicalJson(other.file)) return false
  const [columns, others] = await Promise.all([one, other].map(async ({ sheet }) => sheet?.columns()))
  if (!columns || columns.length !== others?.length) return false
  return columns.every((column, at) => {
    const [here, there] = [bytesOfColumn(column), bytesOfColumn(others[at]!)]
    if (JSON.stringify(here.head) !== JSON.stringify(there.head)) return false
    const chunks = [...there.chunks]
    return [...here.chunks].every((chunk, place) => Buffer.compare(chunk, chunks[place]!) === 0)
  })
}
