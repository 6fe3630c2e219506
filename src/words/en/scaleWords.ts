import { formatCount } from '../figures'

/**
 * Why a reading can't be put into a sample: it is no list of readings, nobody said which of its columns holds them, or they are
 * in another unit than the instrument's.
 */
export type NotTaken =
  | Readonly<{ why: 'not-typed' }>
  | Readonly<{ why: 'no-column' }>
  | Readonly<{ why: 'other-unit'; instrument: string; readings: string }>

export const STANDING_WORDS = {
  moving: 'It is moving',
  empty: 'It counts as empty',
  new: 'It stands still',
  taken: 'It is taken',
} as const

/** Why what the instrument shows is no reading that can be taken. */
export const NOT_TAKEN = {
  moving: 'It was still moving, and nothing was taken. Take it when it stands still.',
  empty:
    'What it shows is nothing, or less than a tenth of the last reading, and counts as an empty pan. Put a unit on it first.',
  taken: 'This one is taken already. Take it off the instrument before the next one.',
  nothing: 'The instrument shows nothing at the moment.',
} as const

/** Why a reading was not taken, and what would do. */
export function notTakenWords(problem: NotTaken): string {
  if (problem.why === 'not-typed')
    return 'The sample of this claim is no list of readings, so that none can be put to it. Choose another sample on the claim’s page.'
  if (problem.why === 'no-column')
    return 'The claim is held against no column of its sample that numbers are typed in. Choose one on the claim’s page.'
  const own = problem.readings === '' ? 'have no unit' : `are in ${problem.readings}`
  return `The instrument shows ${problem.instrument}, and the readings here ${own}. Set the instrument to that unit, or take them in a sample of their own.`
}

export const FIRST_BY_HAND =
  'Take the first one by Enter: what it weighs tells the next ones from an empty pan.'

/** What an instrument shows, with its digits as it wrote them: "−0.016 kg". */
export const shownWords = ({ text, unit }: Readonly<{ text: string; unit: string }>): string =>
  [text.replace('-', '−'), unit].filter(Boolean).join('\u202f')

/** With what a reading is taken: the entry of the register, and what the instrument calls itself. */
export const takenWithWords = (entry: string, ownName: string): string =>
  entry === '' || ownName === '' ? entry || ownName : `${entry} (it calls itself: ${ownName})`

/** What was taken: "Taken: 14.932 kg as reading 4, unit 49." */
export const takenWords = (shown: string, place: number, unit: string): string =>
  `Taken: ${shown} as reading ${formatCount(place)}${unit === '' ? '' : `, unit ${unit}`}.`

/** The unit that is to be put on next, and how many are left of the draw. */
export const nextWords = (next: string | undefined, taken: number, of: number): string =>
  next === undefined
    ? `All ${formatCount(of)} units of the draw are taken.`
    : `Next: unit ${next}. ${formatCount(taken)} of ${formatCount(of)} taken, ${formatCount(of - taken)} to go.`

export const oddWords = (shown: string, low: string, high: string): string =>
  `The last reading, ${shown}, lies beyond the fences of the others, ${low} to ${high} (1.5 times the distance of their quartiles beyond these). It counts all the same: look whether it was misread, and take it back only if it was.`

export const backWords = (count: number): string =>
  count === 1
    ? 'One reading that was taken here before and not stored is back.'
    : `${formatCount(count)} readings that were taken here before and not stored are back.`
