import { readWhole } from './openInput'
import { parseJson } from '@/desk/parseJson'
import { sha256, trailEntrySchema } from '@/casefile/content'
import { readCaseFile } from '@/casefile/read'
import { type ChainedEntry, verifyChain } from '@/desk/trail/chain'
import { anewWords, verdictWords } from '@/words/en/trailWords'

const ZIP_BEGINS = 'PK'

/** What nobody can tell from a file alone. */
const WITHOUT_KEYS =
  'The findings are signed by name, without a key: whoever holds the file could have written all of it anew, trail and hashes included. Compare the last hash with one that was written down elsewhere.'

/** What is to be said of a file, and whether it is as it was written. */
export type Verdict = Readonly<{ holds: boolean; words: string }>

/**
 * Whether a case file, or a trail by itself (an entry a line), is as it was written: the hashes, the chain of the trail, and of
 * a case file also that its results follow from its claims and samples.
 */
export async function verify(file: string): Promise<Verdict> {
  const bytes = Buffer.from(await readWhole(file))
  if (bytes.subarray(0, 2).toString('latin1') === ZIP_BEGINS) return ofCaseFile(bytes)
  const read = entriesOf(bytes.toString('utf8'))
  if (typeof read === 'string') return { holds: false, words: read }
  return ofTrail(read)
}

async function ofCaseFile(bytes: Uint8Array): Promise<Verdict> {
  const read = await readCaseFile(bytes)
  if (!read.ok) return { holds: false, words: read.problem.message }
  const { content, coreVersion, differences, notes } = read.value
  const { trail, findings, claims } = content
  const { words } = ofTrail(trail)
  const parts = `${claims.length} claims, ${findings.length} signed findings`
  const anew = anewWords({ coreVersion, differences })
  return {
    holds: true,
    words: [
      words,
      `Every file has the hash that its manifest states, and everything in it follows from the trail (${parts}).`,
      ...(anew ? [anew] : []),
      ...notes,
      ...(findings.length > 0 ? [WITHOUT_KEYS] : []),
    ].join('\n'),
  }
}

function ofTrail(entries: readonly ChainedEntry[]): Verdict {
  const verdict = verifyChain(entries, sha256)
  return { holds: verdict.holds, words: verdictWords(verdict) }
}

/** The entries, or why they can't be read. */
function entriesOf(text: string): readonly ChainedEntry[] | string {
  const entries: ChainedEntry[] = []
  for (const [at, line] of text.split('\n').entries()) {
    if (line.trim() === '') continue
    const read = trailEntrySchema.safeParse(jsonOf(line))
    if (!read.success)
      return `Line ${at + 1} is no entry of a trail. Name a case file (ZIP), or a trail with an entry a line.`
    entries.push(read.data)
  }
  return entries
}

function jsonOf(line: string): unknown {
  try {
    return parseJson(line)
  } catch {
    return undefined
  }
}
