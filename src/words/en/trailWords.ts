import { CORE_VERSION } from '@/claims/terms/version'
import type { ChainVerdict, TrailAction, TrailEntry } from '@/desk/trail/chain'
import type { ChangedAfter } from '@/desk/trail/changedAfter'
import type { SecondLook } from '@/desk/trail/secondLook'
import { keptRowsSchema } from '@/desk/rowCondition'
import { isStretch, valuesIn } from '@/desk/trail/change'
import { formatCount } from '../figures'
import { METHOD_WORDS } from './methods'
import { INTERVAL_NAMES, SIDES_WORDS, TWO_SIDED_WORDS } from './optionWords'
import { PARAMETER_NOUNS } from './parameters'
import { BURDEN_WORDS, RELATION_WORDS } from './relations'
import { keptWords } from './rowConditionWords'

/** What was done, behind "who": "A. Officer set a reading aside". */
export const ACTION_WORDS: Readonly<Record<TrailAction, string>> = {
  opened: 'opened the case',
  changed: 'changed the case',
  closed: 'closed the case',
  reopened: 'opened the case again',
  archived: 'archived the case',
  'claim-added': 'added a claim',
  'claim-changed': 'changed a claim',
  'claims-reordered': 'put the claims in another order',
  'sample-added': 'added a sample',
  'sample-changed': 'changed a sample',
  'brought-in': 'brought a file in',
  'set-aside': 'set a reading aside',
  'brought-back': 'brought a reading back',
  planned: 'locked a plan',
  signed: 'signed a finding',
  sealed: 'had the trail sealed',
  discarded: 'discarded a claim or a sample',
  'taken-up': 'took a discarded claim or sample up again',
  imported: 'brought the case in from a file',
  'clock-back': 'found the clock gone back',
}

export const NOBODY_NAMED = 'Somebody who gave no name'

/** An instant in UTC: "2026-11-03 10:42:07 UTC". */
export function instantWords(at: string): string {
  return `${at.slice(0, 19).replace('T', ' ')} UTC`
}

/** The time from one instant to a later one: "2026-11-03 10:42:07 to 10:43:12 UTC". */
export function spanWords(from: string, to: string): string {
  const [start, end] = [instantWords(from), instantWords(to)]
  const isOneDay = start.slice(0, 10) === end.slice(0, 10)
  return `${start.replace(' UTC', '')} to ${isOneDay ? end.slice(11) : end}`
}

const BREAKS: Readonly<Record<Extract<ChainVerdict, { holds: false }>['why'], string>> = {
  'out-of-order': 'it does not follow the entry before it: one is missing, or they were put in another order',
  altered: 'it is not what was written',
  'cut-short': 'the case had more entries than there are, or other ones',
}

/** Whether a trail is what was written. */
export function verdictWords(verdict: ChainVerdict): string {
  if (!verdict.holds) return `The chain is broken at entry ${verdict.number}: ${BREAKS[verdict.why]}.`
  const { length, hash } = verdict
  const entries = length === 1 ? 'the one entry is' : `all ${formatCount(length)} entries are`
  return length === 0
    ? 'There is no entry yet.'
    : `The chain holds: ${entries} as written. It ends with ${hash}.`
}

/** The fields that an entry changed, each with what it was and what it became. */
export function changeLines({ before, after }: Pick<TrailEntry, 'before' | 'after'>): readonly Readonly<{
  field: string
  before: string
  after: string
}>[] {
  if (before === '' && after === '') return []
  const [was, is] = [before, after].map(valuesIn)
  const fields = new Set([...Object.keys(was!), ...Object.keys(is!)])
  return [...fields].map((field) => ({
    field: fieldWords(field),
    before: spoken(field, was![field]),
    after: spoken(field, is![field]),
  }))
}

/** What was changed after the readings were in: "After the readings were in, the relation was changed from at least to …". */
export function changedAfterWords(changes: readonly ChangedAfter[]): string {
  const told = changes.flatMap((change) => {
    const entry = `entry ${formatCount(change.number)} of the trail`
    if (change.field === 'bench' || change.field === 'looked' || change.field === 'unplanned') return []
    if (change.field === 'setAside') {
      const { count } = change
      return count === 1
        ? `one reading was set aside (${entry})`
        : `${formatCount(count)} readings were set aside (the last in ${entry})`
    }
    const { field, before, after } = change
    return `the ${fieldWords(field)} was changed from “${orUsual(field, before)}” to “${orUsual(field, after)}” (${entry})`
  })
  const fromBench = changes.find(({ field }) => field === 'bench')
  const unplanned = changes.find(({ field }) => field === 'unplanned')
  return [
    fromBench &&
      `The claim came into the case from the bench, where no trail is kept (entry ${formatCount(fromBench.number)} of the trail): what of it was changed there after readings were in is not known.`,
    unplanned &&
      `A plan was locked for this sample (entry ${formatCount(unplanned.number)} of the trail), and this claim is none of those that it was locked for.`,
    told.length > 0 && `After the readings were in, ${told.join('; ')}.`,
    lookedWords(changes.filter((change) => change.field === 'looked')),
  ]
    .filter(Boolean)
    .join(' ')
}

/** Readings that came in after a finding of those before: each occasion, and what follows for the level. */
function lookedWords(looks: readonly SecondLook[]): string {
  if (looks.length === 0) return ''
  const told = looks.slice(0, MOST_LOOKS).map(({ isSigned, seen, number, at }) => {
    const added = `in entry ${formatCount(number)} of the trail (${instantWords(at)})`
    return isSigned
      ? `${added}, after a finding was signed in entry ${formatCount(seen.number)}`
      : `${added}, an hour or more after those before them in entry ${formatCount(seen.number)} (${instantWords(seen.at)}), when a finding may have been there to see`
  })
  const more = looks.length - told.length
  return `Readings were added or changed ${told.join('; ')}${more > 0 ? `; and on ${formatCount(more)} more occasions` : ''}. A test that is looked at again as readings come in goes wrong more often than its level says.`
}

/** So many occasions are told one by one. */
const MOST_LOOKS = 3

/** Fields that the page calls otherwise. */
const FIELD_WORDS: Readonly<Record<string, string>> = {
  exposureUnit: 'what the rate is per',
  kept: 'rows kept',
  secondKept: 'rows kept of the second source',
  counted: 'rows that count',
  secondColumn: 'column of the second source',
}

/** "claimedValue" as "claimed value". */
export function fieldWords(name: string): string {
  if (FIELD_WORDS[name]) return FIELD_WORDS[name]
  return name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
}

/** Names of choices as the page has them. */
const CHOICES: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  parameter: PARAMETER_NOUNS,
  relation: RELATION_WORDS,
  burden: BURDEN_WORDS,
  method: {
    auto: 'the usual test',
    ...Object.fromEntries(Object.entries(METHOD_WORDS).map(([method, { name }]) => [method, name])),
  },
  interval: INTERVAL_NAMES,
  intervalSides: { auto: SIDES_WORDS['two-sided'], ...SIDES_WORDS },
  twoSidedRule: TWO_SIDED_WORDS,
  drawnAtRandom: { unknown: 'nobody has said', random: 'at random', 'not-random': 'not at random' },
  takenIndependently: {
    unknown: 'nobody has said',
    independent: 'one by one',
    'not-independent': 'in groups',
  },
}

const orUsual = (field: string, value: unknown): string =>
  spoken(field, value) || (field === 'burden' ? 'the one that its words carry' : 'nothing')

export const spoken = (field: string, value: unknown): string =>
  (field === 'cells' ? hashesWords(value) : undefined) ??
  rowsWords(value) ??
  (typeof value === 'string' ? CHOICES[field]?.[value] : undefined) ??
  shown(value)

/** Which rows are kept, where it is that which was changed, and whole. */
function rowsWords(value: unknown): string | undefined {
  const read = keptRowsSchema.safeParse(value)
  return read.success && read.data.length > 0 ? keptWords(read.data) : undefined
}

/** The hashes of the columns of a file, in the order of their names. */
function hashesWords(value: unknown): string | undefined {
  if (typeof value !== 'object' || value === null) return undefined
  return Object.entries(value)
    .map(([name, hash]) => `${name} ${String(hash).slice(0, 12)}…`)
    .join(', ')
}

/** A value in words: of a list each of its members, of a thing each of its fields that says something. */
function shown(value: unknown): string {
  if (value === undefined || value === null) return ''
  if (isStretch(value)) return `… ${value.text} …`
  if (Array.isArray(value)) return value.map(shown).join('; ')
  if (typeof value !== 'object') return String(value)
  return Object.entries(value)
    .map(([name, field]) => [fieldWords(name), shown(field)])
    .filter(([, words]) => words !== '')
    .map((words) => words.join(' '))
    .join(', ')
}

/** So many differences are named. */
const MAX_DIFFERENCES = 20

/** What came of computing anew what another core had made; nothing to say where it was this one. */
export function anewWords({
  coreVersion,
  differences,
}: Readonly<{ coreVersion: string; differences: readonly string[] }>): string {
  if (coreVersion === CORE_VERSION) return ''
  const made = `Its results were made with core ${coreVersion} and computed anew with core ${CORE_VERSION}`
  if (differences.length === 0) return `${made}: every figure is the same.`
  const named = differences.slice(0, MAX_DIFFERENCES).join(', ')
  const more = differences.length - MAX_DIFFERENCES
  return `${made}; these differ: ${named}${more > 0 ? ` and ${formatCount(more)} more` : ''}.`
}
