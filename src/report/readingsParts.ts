import { asksForControl } from '@/answers/claim'
import { sha256 } from '@/casefile/content'
import { isControlled } from '@/desk/claimDraft'
import { type ReadingList, readingListsOf, readingsCsv } from '@/intake/readingLists'
import { sidesOf, weighedIn } from '@/intake/sides'
import { typedDecimals } from '@/intake/typedDecimals'
import { SOURCE_WORDS } from '@/words/en/conditionWords'
import { formatCount, formatNumber, formatReading } from '@/words/figures'
import type { Block, Part } from './document/document'
import type { Writer } from './language'
import type { ClaimStudy } from './study'

/** More are in the case file, and in the file whose hash is stated. */
const MAX_LISTED = 1000
/** So many cells stand beside each other on a page. */
const CELLS_ACROSS = 8

/** A list of a claim, in its unit, and the hash by which it is known again. */
type Listed = Readonly<{
  list: ReadingList
  title: string
  unit: string
  hash: string
  /** Whether it is of a file, of which values are kept and no zeros behind them. */
  isOfFile: boolean
  /** With how many decimals the reading at a place was typed, where that is known. */
  decimalsAt: (place: number) => number | undefined
}>

/** Every reading that the figures of each claim rest on, those that are set aside too; the same readings once. */
export function readingsParts(studies: readonly ClaimStudy[], write: Writer): readonly Part[] {
  const listedIn = new Map<string, number>()
  return studies.flatMap((study): readonly Part[] => {
    const { number } = study
    const blocks = listsOfStudy(study).flatMap((listed) => {
      const before = listedIn.get(listed.hash)
      if (before === undefined) listedIn.set(listed.hash, number)
      const table = before === undefined ? tableOf(listed, write) : []
      return [{ is: 'paragraph', text: knownAgain(listed, before, write) } as const, ...table]
    })
    const title = `Appendix: readings of claim ${number}`
    return blocks.length === 0 ? [] : [{ id: `readings-${number}`, title, level: 2, blocks }]
  })
}

function listsOfStudy(study: ClaimStudy): readonly Listed[] {
  const { checked, control, census, claim, reading } = study
  const document = (checked ?? control ?? census)?.document
  if (!document) return []
  const { draft } = claim
  const unit = (asksForControl(document) && weighedIn(draft)) || draft.unit
  return readingListsOf(document, reading).map((list) => ({
    list,
    title: list.of ? `Readings, ${sourceWords(list.of, isControlled(draft))}` : 'Readings',
    unit,
    hash: sha256(readingsCsv(list)),
    ...typedIn(study, list),
  }))
}

function typedIn(
  { claim, samples }: ClaimStudy,
  { of, rows }: ReadingList,
): Pick<Listed, 'isOfFile' | 'decimalsAt'> {
  const [own, other = own] = sidesOf(claim.draft)
  const side = of === 'second' || of === 'package' ? other : own
  const sample = samples.find(({ id }) => id === side.sampleId)?.draft
  if (!rows || !sample) return { isOfFile: false, decimalsAt: () => undefined }
  const ofRow = typedDecimals(side, sample)
  return { isOfFile: sample.kind === 'file', decimalsAt: (place) => ofRow(rows[place]!) }
}

function sourceWords(of: NonNullable<ReadingList['of']>, isControl: boolean): string {
  if (of === 'package') return 'packages'
  return isControl ? 'packs with their packages' : SOURCE_WORDS[of]
}

/** Down the page first, as a list is read. */
function tableOf({ list, title, unit, decimalsAt }: Listed, write: Writer): readonly Block[] {
  const { values, rows, measured, markOf } = list
  if (values.length > MAX_LISTED) return []
  const heads = [
    rows ? 'Row' : 'No.',
    ...(measured ? [inUnit('Measured', measured.unit)] : []),
    inUnit('Reading', unit),
  ]
  const cells = values.map((value, place) => {
    const typed = (figure: number) => write(asTyped(figure, decimalsAt(place)))
    const shown = measured ? [typed(measured.values[place]!), write(formatReading(value))] : [typed(value)]
    return [String((rows?.[place] ?? place) + 1), ...withMark(shown, markOf(place))]
  })
  const lines = Math.ceil(cells.length / Math.floor(CELLS_ACROSS / heads.length))
  const columns = Array.from({ length: Math.ceil(cells.length / lines) }, (_, column) => column * lines)
  const blank = heads.map(() => '')
  const struck = values.flatMap((_, place) =>
    markOf(place) === 'set aside'
      ? heads.slice(1).map((_head, at) => ({
          row: place % lines,
          column: Math.floor(place / lines) * heads.length + at + 1,
          length: cells[place]![at + 1]!.length - (at + 2 === heads.length ? SET_ASIDE.length : 0),
        }))
      : [],
  )
  return [
    {
      is: 'table',
      label: title,
      heads: columns.flatMap(() => heads),
      rows: Array.from({ length: lines }, (_, line) =>
        columns.flatMap((from) => cells[from + line] ?? blank),
      ),
      numbers: columns.flatMap(() => heads.map(() => true)),
      ...(struck.length > 0 ? { struck } : {}),
    },
  ]
}

const inUnit = (name: string, unit: string) => (unit === '' ? name : `${name}, ${unit}`)

/** A reading with the zeros that it was typed with. */
function asTyped(value: number, decimals: number | undefined): string {
  if (decimals === undefined) return formatReading(value)
  const typed = formatNumber(value, decimals)
  return Number(typed.replace('\u2212', '-')) === value ? typed : formatReading(value)
}

const SET_ASIDE = ' (set aside)'

/** The figures of a reading, the last of them with what is known of it. */
function withMark(figures: readonly string[], mark: ReturnType<ReadingList['markOf']>): readonly string[] {
  const [last = '', ...others] = figures.toReversed()
  const marked =
    mark === ''
      ? last
      : mark === 'set aside'
        ? `${last}${SET_ASIDE}`
        : `${mark === 'below' ? '<' : '>'} ${last}`
  return [...others.toReversed(), marked]
}

/** How many there are, and the hash by which anybody knows them again. */
function knownAgain(
  { list, title, unit, hash, isOfFile }: Listed,
  before: number | undefined,
  write: Writer,
): string {
  const { values, markOf } = list
  const aside = values.filter((_, place) => markOf(place) === 'set aside').length
  const left = aside === 0 ? '' : `, ${formatCount(aside)} of them set aside`
  const count = `${title}: ${formatCount(values.length)}${unit === '' ? '' : ` in ${unit}`}`
  const where =
    before !== undefined
      ? ` They are those of claim ${before}.`
      : values.length > MAX_LISTED
        ? ` More than ${formatCount(MAX_LISTED)} are not listed: the case file has them.`
        : isOfFile
          ? ' They are listed by their values: the file has them as they were written.'
          : ''
  return `${write(`${count}${left}.${where}`)} SHA-256 of them as a CSV file of the lines “row,reading,measured,mark”: ${hash}`
}
