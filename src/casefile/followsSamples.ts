import { createHash } from 'node:crypto'
import type { Pieces } from '@/desk/pieces'
import * as z from 'zod/mini'
import { EMPTY_SAMPLE, type SetAside, setAsideSchema } from '@/desk/sampleDraft'
import type { SampleFile } from '@/desk/sampleFile'
import type { TrailAction } from '@/desk/trail/chain'
import { valuesIn } from '@/desk/trail/change'
import { replayed } from '@/desk/trail/replay'
import { hashesOf } from './columnHash'
import type { CaseContent, ContentSample } from './content'
import type { Break, RecordVerdict } from './verdict'
import { differing, entriesOf } from './unlike'

type Trail = CaseContent['trail']

const SAMPLE_ACTIONS: readonly TrailAction[] = [
  'sample-added',
  'brought-in',
  'sample-changed',
  'discarded',
  'taken-up',
]
const ADDED: readonly TrailAction[] = ['sample-added', 'brought-in']

/** Each sample is what its entries come to, what is set aside included. */
export function sampleBreaks(content: CaseContent): readonly Break[] {
  const known = new Set(content.samples.map(({ id }) => id))
  const gone = content.trail.filter(
    ({ action, sampleId }) => ADDED.includes(action) && sampleId !== null && !known.has(sampleId),
  )
  return [
    ...gone.map(({ number, sampleId }) => ({
      path: 'samples',
      message: `Entry ${number} of the trail added the sample ${sampleId}, and it is not there.`,
    })),
    ...content.samples.flatMap((sample) => sampleBreaksOf(content, sample)),
  ]
}

function sampleBreaksOf(content: CaseContent, { id, draft, file }: ContentSample): readonly Break[] {
  const path = `samples: ${id}`
  const entries = entriesOf(content, 'sampleId', id, SAMPLE_ACTIONS).filter(({ claimId }) => claimId === null)
  const [added] = entries
  if (!added || !ADDED.includes(added.action))
    return [{ path, message: `The trail has no entry that added the sample “${draft.name}”.` }]
  const {
    setAside: _,
    cells: __,
    movedRows: ___,
    ...state
  } = replayed({ ...EMPTY_SAMPLE, setAside: [] }, entries)
  const { setAside, ...own } = draft
  const fields = differing(own, state)
  const aside = asideBreak(draft, asidesToldOf(firstAsides(content.trail, id), content.trail, id))
  const isFile = (added.action === 'brought-in') === (file !== null)
  const isNamed = file === null || added.detail.startsWith(fileWords(file))
  return [
    ...(fields.length === 0
      ? []
      : [
          {
            path,
            message: `Of the sample “${draft.name}”, ${fields.join(', ')} is not what the trail comes to.`,
          },
        ]),
    ...(aside ? [{ path, message: `Of the sample “${draft.name}”, ${aside}` }] : []),
    ...(isFile && isNamed
      ? []
      : [
          {
            path,
            message: `The file of the sample “${draft.name}” is not the one that the trail says was brought in.`,
          },
        ]),
  ]
}

/** What the entry of a file that is brought in begins with. */
export const fileWords = ({ fileName, fileBytes, rowCount, fileSha256 }: SampleFile): string =>
  `${fileName}, ${fileBytes} bytes, ${rowCount} rows, SHA-256 ${fileSha256}`

/** What the entry ends with where the file itself is kept. */
export const FILE_KEPT = ', the file itself kept'

const ROW = /^Row (\d+)(?:, which had been set aside)?: ([^]*)$/

type Aside = Readonly<{ row: number; reason: string; who: string }>
const asideOf = ({ row, reason, by }: SetAside): Aside => ({ row: row + 1, reason, who: by.trim() })

/** What is set aside by the entries of a sample: who did it, in which row, and why. */
function asidesToldOf(first: readonly SetAside[], trail: Trail, sampleId: string): readonly Aside[] {
  let asides = first.map(asideOf)
  for (const { sampleId: own, action, detail, who, after } of trail) {
    if (own !== sampleId) continue
    const [, row = '', reason = ''] = ROW.exec(detail) ?? []
    if (action === 'set-aside') asides.push({ row: Number(row), reason, who })
    if (action === 'brought-back') {
      const at = asides.findIndex((one) => one.row === Number(row) && one.reason === reason)
      // One that moved before moves were told of.
      const other = at >= 0 ? at : asides.findIndex((one) => one.reason === reason)
      if (other >= 0) asides.splice(other, 1)
    }
    if (action === 'sample-changed') asides = movedBy(asides, valuesIn(after).movedRows)
  }
  return asides
}

const movesSchema = z.array(z.tuple([z.int(), z.int()]))

/** Rows of a typed list move where others are put in above them. */
function movedBy(asides: readonly Aside[], moves: unknown): Aside[] {
  const read = movesSchema.safeParse(moves)
  const to = new Map(read.success ? read.data : [])
  return asides.map((one) => ({ ...one, row: to.get(one.row) ?? one.row }))
}

function asideBreak(draft: ContentSample['draft'], told: readonly Aside[]): string | undefined {
  const isMovable = draft.kind !== 'file'
  const keyOf = ({ row, reason, who }: Aside) => JSON.stringify([isMovable ? 0 : row, reason, who])
  const counts = new Map<string, number>()
  const add = (key: string, by: number) => counts.set(key, (counts.get(key) ?? 0) + by)
  for (const one of told) add(keyOf(one), 1)
  for (const one of draft.setAside) add(keyOf(asideOf(one)), -1)
  const other = [...counts].find(([, count]) => count !== 0)
  if (!other) return undefined
  const [row, reason, who] = JSON.parse(other[0]) as readonly [number, string, string]
  const place = row === 0 ? 'a reading' : `row ${row}`
  const by = who === '' ? 'somebody not named' : who
  return other[1] > 0
    ? `the trail says that ${by} set ${place} aside (“${reason}”), and it is not.`
    : `${place} is set aside by ${by} (“${reason}”), and the trail does not say so.`
}

/** Before moves were told of, a row of a typed list could be another than the one that was set aside first. */
export function asideNotes({ samples, trail }: CaseContent): readonly string[] {
  return samples.flatMap(({ id, draft }) => {
    const first = firstAsides(trail, id)
    const told = new Set(asidesToldOf(first, trail, id).map(({ row }) => row))
    const moved = draft.setAside.filter(({ row }) => !told.has(row + 1))
    return moved.map(
      ({ row, reason }) =>
        `In the sample “${draft.name}” row ${row + 1} is set aside (“${reason}”); the trail tells of it under another row, from which it moved.`,
    )
  })
}

function firstAsides(trail: Trail, sampleId: string): readonly SetAside[] {
  const added = trail.find((entry) => entry.sampleId === sampleId && ADDED.includes(entry.action))
  const read = z.array(setAsideSchema).safeParse(added && valuesIn(added.after).setAside)
  return read.success ? read.data : []
}

/** SHA-256 of a file that was kept; empty where it is damaged. */
export async function hashOf(pieces: Pieces): Promise<string> {
  const hash = createHash('sha256')
  try {
    for await (const piece of pieces) hash.update(piece)
    return hash.digest('hex')
  } catch {
    return ''
  }
}

/** The hash of each column as it was brought in stands in the entry that brought it. */
export async function cellBreaks({ samples, trail }: CaseContent): Promise<RecordVerdict> {
  const breaks: Break[] = []
  const notes: string[] = []
  for (const { id, draft, sheet, file, original } of samples) {
    if (!sheet) continue
    const kept = await original?.()
    if (kept && (await hashOf(kept)) !== file?.fileSha256)
      breaks.push({
        path: `samples: ${id}`,
        message: `What is kept of the file ${file?.fileName} of the sample “${draft.name}” is not the file that was brought in.`,
      })
    const entry = trail.find(({ sampleId, action }) => sampleId === id && action === 'brought-in')
    if (!kept && entry?.detail.endsWith(FILE_KEPT))
      notes.push(
        `The file ${file?.fileName} of the sample “${draft.name}” was kept when it was brought in, and is not here.`,
      )
    const stated = entry && valuesIn(entry.after).cells
    if (typeof stated !== 'object' || stated === null) {
      notes.push(
        `The cells of the sample “${draft.name}” were brought in before their hashes were kept: nothing ties them to the trail.`,
      )
      continue
    }
    const wrong = differing(stated, await hashesOf(await sheet.columns()))
    if (wrong.length > 0)
      breaks.push({
        path: `samples: ${id}`,
        message: `Of the sample “${draft.name}”, the cells of ${wrong.join(', ')} are not those that were brought in.`,
      })
  }
  return { breaks, notes }
}
