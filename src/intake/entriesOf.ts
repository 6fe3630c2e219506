import type { Entries } from '@/claims/terms/entries'
import type { ReadRule, SampleDraft } from '@/desk/sampleDraft'
import type { UnreadEntry } from './reading/readings'
import { waysToRead } from './reading/ways'
import { writingOf } from './sheet/typedSheet'
import type { Taken } from './takenFrom'
import type { Conversion } from './reading/units'

/** So many texts that can't be read are named in a finding. */
const MAX_NAMED = 20
/** Rules that say something of the figures, whether any entry needed them or not. */
const SAID_OF_ALL: readonly ReadRule['rule'][] = ['missing', 'apart', 'entry']

type Input = Readonly<{
  sample: SampleDraft
  taken: Taken
  /** Entries that can't be read and are set aside. */
  aside: readonly UnreadEntry[]
  conversion: Conversion | undefined
  /** The column of the readings. */
  column: string
}>

/** What became of the entries that readings or a count were taken from; undefined where nothing did. */
export function entriesOf(input: Input): Entries | undefined {
  const { taken, aside, conversion, column } = input
  const { header, keptCount, values, count } = taken
  const own = aside.filter((entry) => entry.column === column).length
  const blank = count ? count.missing : keptCount - values.length - own
  const setAside = count ? count.withSetAside.n - count.n : 0
  const said = readAsOf(input)
  const entries: Entries = {
    ...(header === undefined ? {} : { header }),
    ...(aside.length > 0 ? { unreadable: unreadableOf(input) } : {}),
    ...(setAside > 0 ? { setAside } : {}),
    ...(blank > 0 ? { blank } : {}),
    ...(said ? { readAs: said } : {}),
    ...convertedBy(conversion),
  }
  return Object.keys(entries).length > 0 ? entries : undefined
}

/** That the figures were converted to the claim's unit. */
export const convertedBy = (conversion: Conversion | undefined): Pick<Entries, 'converted'> =>
  conversion ? { converted: conversion.words } : {}

function readAsOf({ sample, taken, column }: Input): Entries['readAs'] {
  const rules = rulesOf(sample, column)
  const isSaid = taken.said !== undefined || rules.some(({ rule }) => SAID_OF_ALL.includes(rule))
  return isSaid ? { rules: [...rules], ...taken.said } : undefined
}

function rulesOf({ columns }: SampleDraft, name: string): readonly ReadRule[] {
  const words =
    columns.find((column) => column.name === name) ?? (columns.length === 1 ? columns[0] : undefined)
  return words?.readAs ?? []
}

/** Entries that can't be read, and what those would be that can be told. */
function unreadableOf({ aside, sample, conversion }: Input): NonNullable<Entries['unreadable']> {
  const couldBe = aside.flatMap(({ text, column }) => {
    const writing = writingOf(sample.decimalMark, { readAs: [...rulesOf(sample, column)] })
    const ways = waysToRead(text, writing, { commonUnits: new Set(), isMarkUsed: true, isList: false })
    const [value] = ways.length === 1 ? ways[0]!.values : []
    const isTold = value !== undefined && !Number.isNaN(value)
    return isTold ? [conversion?.reading(value) ?? value] : []
  })
  return {
    count: aside.length,
    texts: aside.slice(0, MAX_NAMED).map(({ text }) => text.slice(0, 100)),
    ...(couldBe.length > 0 ? { couldBe } : {}),
  }
}
