'use client'

import { createContext, type ReactNode, useCallback, useContext, useMemo } from 'react'
import type { SampleDraft } from '@/desk/sampleDraft'
import { moveSetAside } from '@/intake/sheet/typedEdit'
import { readTypedSheet, typedCells, type TypedSheet } from '@/intake/sheet/typedSheet'
import { useTracked } from '../history/useTracked'
import { type Saving, useHere, useSaving } from '../saving/useSaving'
import { sampleVersion } from './sampleVersion'
import { officerHere } from '../officer'

export type StoredFile = Readonly<{
  fileName: string
  fileBytes: number
  fileSha256: string
  rowCount: number
}>

export type SampleState = Readonly<{
  id: string
  draft: SampleDraft
  revision: number
  file: StoredFile | null
}>

export type Sample = Readonly<{
  id: string
  draft: SampleDraft
  setField: <K extends keyof SampleDraft>(field: K, value: SampleDraft[K]) => void
  setFields: (change: Partial<SampleDraft>) => void
  file: StoredFile | null
  /** What was typed, as columns; empty for a sample that was not typed. */
  typed: TypedSheet
  /** Keeps rows out of every test. */
  setAside: (rows: readonly number[], reason: string) => void
  bringBack: (row: number) => void
  saving: Saving
}>

const Current = createContext<Sample | null>(null)
const Second = createContext<Sample | null>(null)
const Suffix = createContext('')
const NOTHING_TYPED: TypedSheet = { columns: [], rowCount: 0, unread: [], limits: {}, said: {}, lineCount: 0 }

/** One sample as it is being worked on; what is typed is stored at once. */
export function SampleProvider({ sample, children }: Readonly<{ sample: SampleState; children: ReactNode }>) {
  return <Current value={useSampleState(sample)}>{children}</Current>
}

/** The sample of a second source beside the first. */
export function SecondSampleProvider({
  sample,
  children,
}: Readonly<{ sample: SampleState; children: ReactNode }>) {
  return <Second value={useSampleState(sample)}>{children}</Second>
}

/**
 * Shows a sample that is known already to the parts inside.
 *
 * @param suffix - tells the names of its controls from those of another sample on the page
 */
export function AsSample({
  sample,
  suffix,
  children,
}: Readonly<{ sample: Sample; suffix: string; children: ReactNode }>) {
  return (
    <Current value={sample}>
      <Suffix value={suffix}>{children}</Suffix>
    </Current>
  )
}

/** The name of a control of the sample that is shown, which no control of another one has. */
export function useLabel(): (name: string) => string {
  const suffix = useContext(Suffix)
  return (name) => `${name}${suffix}`
}

function useSampleState(sample: SampleState): Sample {
  const { id, file } = sample
  const address = `/api/samples/${id}`
  const here = useHere(address, sample)
  const [draft, change] = useTracked(id, here.draft)
  const adopt = useCallback((stored: SampleDraft) => change('', () => stored), [change])
  const saving = useSaving({ address, here, words: sampleVersion, draft, setDraft: adopt })
  const setFields = useCallback(
    (fields: Partial<SampleDraft>) =>
      change(keyOf(fields), (known) => ({ ...known, ...fields, ...moved(known, fields) })),
    [change],
  )
  const setField = useCallback<Sample['setField']>(
    (field, value) => setFields({ [field]: value }),
    [setFields],
  )
  const setAside = useCallback(
    (rows: readonly number[], reason: string) =>
      change(`set aside ${rows.join()}`, (known) => {
        const added = new Set(rows)
        const kept = known.setAside.filter(({ row }) => !added.has(row))
        const put = Array.from(added, (row) => ({ row, reason, by: officerHere() }))
        return { ...known, setAside: [...kept, ...put].sort((a, b) => a.row - b.row) }
      }),
    [change],
  )
  const bringBack = useCallback(
    (row: number) =>
      change(`bring back ${row}`, (known) => ({
        ...known,
        setAside: known.setAside.filter((one) => one.row !== row),
      })),
    [change],
  )
  const { kind, readings, decimalMark, columns } = draft
  const typed = useMemo(
    () => (kind === 'typed' ? readTypedSheet({ readings, decimalMark, columns }) : NOTHING_TYPED),
    [kind, readings, decimalMark, columns],
  )
  return useMemo(
    () => ({ id, draft, setField, setFields, file, typed, setAside, bringBack, saving }),
    [id, draft, setField, setFields, file, typed, setAside, bringBack, saving],
  )
}

/** Typing into one field is one edit; what changes several at once is an edit of its own. */
function keyOf(fields: Partial<SampleDraft>): string {
  const [name, ...others] = Object.keys(fields)
  return others.length === 0 ? (name ?? '') : ''
}

/** What is set aside moves with its readings, however they are typed and however what is typed is read. */
function moved(known: SampleDraft, change: Partial<SampleDraft>): Pick<SampleDraft, 'setAside'> | undefined {
  const isRead = [change.readings, change.columns, change.decimalMark].some((one) => one !== undefined)
  if (!isRead || change.setAside || known.kind !== 'typed' || known.setAside.length === 0) return undefined
  return { setAside: moveSetAside(known.setAside, typedCells(known), typedCells({ ...known, ...change })) }
}

export function useSample(): Sample {
  const sample = useContext(Current)
  if (!sample) throw new Error('useSample is for parts of a SampleProvider')
  return sample
}

/** The sample of the second source; null where there is only one sample. */
export const useSecondSample = (): Sample | null => useContext(Second)
