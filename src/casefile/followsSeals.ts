import { createHash } from 'node:crypto'
import type { Seal } from '@/desk/trail/seal'
import { sealEntryWords } from '@/words/en/sealWords'
import { instantWords } from '@/words/en/trailWords'
import type { CaseContent } from './content'
import { readStamp } from './stamp'
import type { RecordVerdict } from './verdict'

/** A seal, where its time stamp holds and is over an entry of the trail. */
export async function readSeal(
  token: Uint8Array,
  trail: readonly Readonly<{ number: number; hash: string }>[],
): Promise<Seal | undefined> {
  const stamp = await readStamp(token)
  const sealed = stamp && trail.find(({ hash }) => hash === stamp.hash)
  return sealed && { ...stamp, length: sealed.number }
}

/** The seals that hold, the first first, each with its time stamp. */
export async function sealsOf({
  seals,
  trail,
}: Pick<CaseContent, 'seals' | 'trail'>): Promise<readonly Readonly<{ seal: Seal; token: Uint8Array }>[]> {
  const read = await Promise.all(seals.map(async (token) => ({ token, seal: await readSeal(token, trail) })))
  return read.flatMap(({ seal, token }) => (seal ? [{ seal, token }] : []))
}

/** What the entry of a seal says. */
export const entryOf = (seal: Seal, token: Uint8Array): string =>
  sealEntryWords(seal, createHash('sha256').update(token).digest('hex'))

/** Clocks of two machines differ by so much. */
const SETTLED_MS = 60_000

/** Each seal is over the trail that is there and has the one entry that tells of it, and the reverse; and its time is no other. */
export async function sealBreaks({ seals, trail }: CaseContent): Promise<RecordVerdict> {
  const breaks = []
  const notes: string[] = []
  const missing = new Set(trail.filter(({ action }) => action === 'sealed'))
  for (const [at, token] of seals.entries()) {
    const path = `seals: ${at + 1}`
    const seal = await readSeal(token, trail)
    if (!seal) {
      breaks.push({
        path,
        message: `The seal ${at + 1} is no time stamp that holds over an entry of this trail.`,
      })
      continue
    }
    const words = entryOf(seal, token)
    const own = [...missing].find(({ number, detail }) => detail === words && number > seal.length)
    if (own) missing.delete(own)
    else
      breaks.push({
        path,
        message: `The trail has no entry of the seal ${at + 1} over its first ${seal.length} entries.`,
      })
    notes.push(...timeNotes(seal, trail))
  }
  return {
    breaks: [
      ...breaks,
      ...[...missing].map(({ number }) => ({
        path: 'seals',
        message: `Entry ${number} of the trail says that it was sealed, and there is no such seal.`,
      })),
    ],
    notes,
  }
}

/** What was sealed was there by then, and what came after was not. */
function timeNotes({ length, at, by }: Seal, trail: CaseContent['trail']): readonly string[] {
  const sealed = new Date(at).getTime()
  const [last, next] = [trail[length - 1]!, trail[length]]
  const stamped = `was sealed at ${instantWords(at)} by ${by}`
  return [
    ...(new Date(last.at).getTime() > sealed + SETTLED_MS
      ? [`Entry ${length} of the trail is dated ${instantWords(last.at)}, and ${stamped}: a clock is wrong.`]
      : []),
    ...(next && new Date(next.at).getTime() < sealed - SETTLED_MS
      ? [
          `Entry ${length + 1} of the trail is dated ${instantWords(next.at)}, and was not there yet when entry ${length} ${stamped}: a clock is wrong, or it was dated back.`,
        ]
      : []),
  ]
}
