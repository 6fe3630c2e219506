import type { ClaimDocument } from '@/claims/checkAnswer'
import { listsOf } from '@/claims/crossexamination/lists'
import type { ClaimReading } from './claimDocument'

/** What is known of a reading beside its value: nothing, that it is not tested, or that it says only on which side it lies. */
type Mark = '' | 'set aside' | 'below' | 'above'

/** Readings as a check document has them, with what is known of where they were taken from. */
export type ReadingList = Readonly<{
  /** Absent where there is one list. */
  of?: 'first' | 'second' | 'package'
  values: readonly number[]
  /** Of each, from 0; absent where the document is all there is. */
  rows?: readonly number[]
  /** As they were measured, where they were converted. */
  measured?: Readonly<{ values: readonly number[]; unit: string }>
  markOf: (place: number) => Mark
}>

type Taken = Partial<Pick<ClaimReading, 'evidence' | 'second'>>

/**
 * Every list of readings that a finding rests on; none where it rests on figures or a count.
 *
 * @param taken - what the document was made of; absent: the document alone is known
 */
export function readingListsOf(document: ClaimDocument, taken: Taken = {}): readonly ReadingList[] {
  if ('content' in document) {
    const { values = [], gross = values, tare, setAside } = document.content
    const packs = listed({ values: gross, setAside }, taken.evidence)
    const tares = Array.isArray(tare) ? tare : typeof tare === 'object' ? tare.emptyPacks : []
    return tares.length === 0
      ? [packs]
      : [
          { of: 'first', ...packs },
          { of: 'package', ...listed({ values: tares }, taken.second) },
        ]
  }
  const { evidence } = document
  const { below = [], above = [] } = (evidence.kind === 'readings' && evidence.censored) || {}
  return listsOf(evidence).map(({ of, values, setAside }) => ({
    ...(of ? { of } : {}),
    ...listed({ values, setAside, below, above }, of === 'second' ? taken.second : taken.evidence),
  }))
}

function listed(
  {
    values,
    ...places
  }: Readonly<{
    values: readonly number[]
    setAside?: readonly number[] | undefined
    below?: readonly number[]
    above?: readonly number[]
  }>,
  from: ClaimReading['evidence'] | undefined,
): ReadingList {
  const marks = new Map<number, Mark>([
    ...(places.below ?? []).map((place) => [place, 'below'] as const),
    ...(places.above ?? []).map((place) => [place, 'above'] as const),
    ...(places.setAside ?? []).map((place) => [place, 'set aside'] as const),
  ])
  // Other rows than these were taken where they are not as many.
  const isOf = (list: readonly unknown[] | undefined) => list?.length === values.length
  const { rows, measured } = from ?? {}
  return {
    values,
    ...(rows && isOf(rows) ? { rows } : {}),
    ...(measured && isOf(measured.values) ? { measured } : {}),
    markOf: (place) => marks.get(place) ?? '',
  }
}

/**
 * Readings as a CSV file, whose SHA-256 a report states: a line for each, its row from 1 or, where that is not known, its place;
 * the reading and what it was measured as in full digits with a point; and its mark.
 *
 * @example
 * readingsCsv(list) // 'row,reading,measured,mark\n1,14.93,,\n2,14.1,,set aside\n'
 */
export function readingsCsv({ values, rows, measured, markOf }: ReadingList): string {
  const lines = values.map(
    (value, place) =>
      `${(rows?.[place] ?? place) + 1},${value},${measured?.values[place] ?? ''},${markOf(place)}\n`,
  )
  return `row,reading,measured,mark\n${lines.join('')}`
}
