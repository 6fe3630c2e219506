import type { ReadRule } from '@/desk/sampleDraft'
import type { DecimalMark } from '@/desk/typed'
import { isMissingWord } from './missingWords'
import { THOUSANDS } from './thousands'
import { isKnownUnit } from './units'
import { limitAt, MARKS, readEntry, unitAt, unquoted, type Writing } from './entry'
import { piecesApart } from './lists'

/** What somebody has to say for an entry to be read. */
export type Said = Readonly<{ mark: DecimalMark; rules: readonly ReadRule[] }>

/** One way to read an entry: what has to be said for it, and the readings that it then is; NaN stands for nothing measured. */
export type Way = Said & Readonly<{ values: readonly number[] }>

type Among = Readonly<{
  /** Units that are at more than one of the entries. */
  commonUnits: ReadonlySet<string>
  /** Whether other entries have decimals behind the usual mark, so that another one is a mark beside it. */
  isMarkUsed: boolean
  /** Whether entries may be lists. */
  isList: boolean
}>

/**
 * Every way to read an entry that can't be read as it stands, those first that say the least.
 *
 * @returns no way for an entry that is no number in any common way of writing one; several of which somebody has to say one
 * @example
 * waysToRead('1,021.2', { mark: 'point', rules: [] }, among)[0].values // [1021.2]
 */
export function waysToRead(text: string, writing: Writing, among: Among): readonly Way[] {
  const ways: Way[] = []
  const entry = unquoted(text)
  const add = (said: Said, values: readonly number[]) => {
    const isKnown = ways.some((way) => way.values.join() === values.join())
    if (!isKnown) ways.push({ ...said, values })
  }
  if (isMissingWord(entry)) add(said(writing, { rule: 'missing', text: entry }), [Number.NaN])
  const limit = limitAt(entry)
  const isNew = limit && !writing.rules.some(({ rule }) => rule === 'limits')
  const beyond: readonly ReadRule[] = isNew ? [{ rule: 'limits', text: '' }] : []
  for (const unit of unitsFor(limit?.number ?? entry, writing, among)) {
    for (const way of spellings(writing, among)) {
      const tried = said(writing, ...unit, ...way.rules, ...beyond)
      const reading = readEntry(entry, { ...tried, mark: way.mark })
      if (reading.ok) add({ mark: way.mark, rules: tried.rules }, [reading.value])
    }
  }
  for (const { mark, rules } of among.isList ? spellings(writing, among) : []) {
    const tried = said(writing, ...rules, { rule: 'apart', text: '' })
    const apart = rules.some(({ rule }) => rule === 'thousands')
      ? undefined
      : piecesApart(entry, { ...tried, mark })
    if (apart) add({ mark, rules: tried.rules }, apart)
  }
  return ways
}

const said = ({ mark, rules }: Writing, ...more: readonly ReadRule[]): Said => ({
  mark,
  rules: [...rules, ...more],
})

/** Nothing taken off, and the unit at the entry; never a second unit, since both would then be the same. */
function unitsFor(
  text: string,
  { rules }: Writing,
  { commonUnits }: Among,
): readonly (readonly ReadRule[])[] {
  const unit = unitAt(text)?.unit
  const isOffered =
    unit !== undefined &&
    !rules.some(({ rule }) => rule === 'unit') &&
    (commonUnits.has(unit) || isKnownUnit(unit))
  return isOffered ? [[], [{ rule: 'unit', text: unit }]] : [[]]
}

/** The ways to write a number: with each mark, and with each sign between its thousands. */
function* spellings({ mark }: Writing, { isMarkUsed }: Among): Generator<Said> {
  const other = mark === 'point' ? 'comma' : 'point'
  const marks = [mark, ...(isMarkUsed ? [] : ([other] as const))]
  for (const one of marks) yield { mark: one, rules: [] }
  if (isMarkUsed) yield { mark, rules: [{ rule: 'decimals', text: MARKS[other] }] }
  for (const one of [mark, other] as const)
    for (const sign of THOUSANDS)
      if (sign !== 'none' && sign !== MARKS[one])
        yield { mark: one, rules: [{ rule: 'thousands', text: sign }] }
}
