import { parameterOf } from '../all'
import type { Evidence } from '../terms/request'
import { beyondFences, tukeyFences } from '@/statistics/describe/fences'
import { quartilesOf } from '@/statistics/describe/quantile'
import type { Asked, NamedReading } from './asked'
import { type List, listsOf, withEverything } from './lists'
import { type Examination, type ExaminedResult, type Question, variation } from './question'
import { leaveOneOut } from './leaveOneOut'

/** So many readings set aside are put back one by one; more of them only together. */
const MAX_SINGLY = 20
/** Fewer readings have no quartiles worth the name. */
const MIN_FENCED = 4

/** Would the finding stand with other readings? */
export function readingQuestions(examined: Examination): readonly Question[] {
  return [...putBack(examined), ...unreadable(examined), ...suspicious(examined), leaveOneOut(examined)]
}

function putBack({ document, result, withSetAside }: Examination): readonly Question[] {
  const ask = (key: string, asked: Asked, evidence: Evidence) =>
    variation({
      key,
      asked,
      document: { ...document, evidence },
      outcome: result.finding.outcome,
    })
  const together = withSetAside ?? withEverything(document.evidence)
  if (!together) return []
  const all = ask('all back', { ask: 'all-back' }, together)
  const lists = listsOf(document.evidence)
  const singly = lists.flatMap((list) =>
    list.setAside.map((index) =>
      ask(
        `back ${list.of ?? ''} ${index}`,
        { ask: 'one-back', reading: named(list, index, document.claim) },
        list.with(list.setAside.filter((one) => one !== index)),
      ),
    ),
  )
  if (singly.length === 1) return singly
  return singly.length > MAX_SINGLY ? [all] : [all, ...singly]
}

/** Entries that could not be read, where what they could be can be told. */
function unreadable({ document, result }: Examination): readonly Question[] {
  return listsOf(document.evidence).flatMap(({ entries, of, withMore }) => {
    const { couldBe: values = [], count = 0 } = entries?.unreadable ?? {}
    // Of which group one would be, nobody has said.
    const isGrouped = 'cluster' in document.evidence || 'stratum' in document.evidence
    if (values.length === 0 || isGrouped) return []
    const { claim } = document
    return variation({
      key: `unreadable ${of ?? ''}`,
      asked: { ask: 'unreadable', values, count, of, claim },
      document: { ...document, evidence: withMore(values) },
      outcome: result.finding.outcome,
    })
  })
}

/** Readings that stand out: by the test for outliers, and by the fences where those point to others. */
function suspicious({ document, result }: Examination): readonly Question[] {
  // Rows that count or do not are 1 and 0: none of them stands out.
  const { parameter, limit } = document.claim
  if (parameterOf(parameter).sample === 'counted' && !limit) return []
  return listsOf(document.evidence).flatMap((list) => {
    const tested = outliersOf(result, list.of)
    const fenced = fencedOut(list)
    const ask = (by: 'test' | 'fences', indexes: readonly number[]) =>
      variation({
        key: `without ${by} ${list.of ?? ''}`,
        asked: {
          ask: 'without',
          by,
          readings: indexes.map((index) => named(list, index, document.claim)),
        },
        document: {
          ...document,
          evidence: list.with([...list.setAside, ...indexes].toSorted((a, b) => a - b)),
        },
        outcome: result.finding.outcome,
      })
    const isSame = tested.length === fenced.length && tested.every((index) => fenced.includes(index))
    return [
      ...(tested.length > 0 ? [ask('test', tested)] : []),
      ...(fenced.length > 0 && !isSame ? [ask('fences', fenced)] : []),
    ]
  })
}

const named = ({ values, of }: List, index: number, { unit }: NamedReading['claim']): NamedReading => ({
  index,
  value: values[index]!,
  of,
  claim: { unit },
})

function outliersOf({ conditions }: ExaminedResult, of: List['of']): readonly number[] {
  return conditions.find((one) => one.name === 'outliers' && one.of === of)?.readings ?? []
}

function fencedOut({ values, setAside }: List): readonly number[] {
  const left = new Set(setAside)
  const tested = values.filter((_, index) => !left.has(index))
  if (tested.length < MIN_FENCED) return []
  const beyond = beyondFences(values, tukeyFences(quartilesOf(Float64Array.from(tested).sort())))
  return beyond.filter((index) => !left.has(index))
}
