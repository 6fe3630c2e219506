'use client'

import { createContext, type ReactNode, useCallback, useContext, useMemo, useState } from 'react'
import type { SampleDraft } from '@/core/sample/sampleDraft'
import { moveSetAside } from '@/intake/sheet/typedEdit'
import { readTypedSheet, typedCells, type TypedSheet } from '@/intake/sheet/typedSheet'
import { type Saving, useSaving } from '../saving/useSaving'
import { officerHere } from './useOfficer'

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

type Sample = Readonly<{
  id: string
  draft: SampleDraft
  setField: <K extends keyof SampleDraft>(field: K, value: SampleDraft[K]) => void
  setFields: (change: Partial<SampleDraft>) => void
  file: StoredFile | null
  /** What was typed, as columns; empty for a sample that was not typed. */
  typed: TypedSheet
  /** Keeps a row out of every test. */
  setAside: (row: number, reason: string) => void
  bringBack: (row: number) => void
  saving: Saving
}>

const Context = createContext<Sample | null>(null)
const NOTHING_TYPED: TypedSheet = { columns: [], rowCount: 0, unread: [], lineCount: 0 }

/** One sample as it is being worked on; what is typed is stored at once. */
export function SampleProvider({ sample, children }: Readonly<{ sample: SampleState; children: ReactNode }>) {
  const { id, file, revision } = sample
  const [draft, setDraft] = useState(sample.draft)
  const more = useCallback(() => ({ by: officerHere() }), [])
  const saving = useSaving({ address: `/api/samples/${id}`, draft, revision, setDraft, more })
  const setFields = useCallback(
    (change: Partial<SampleDraft>) => setDraft((known) => ({ ...known, ...change, ...moved(known, change) })),
    [],
  )
  const setField = useCallback<Sample['setField']>(
    (field, value) => setFields({ [field]: value }),
    [setFields],
  )
  const setAside = useCallback(
    (row: number, reason: string) =>
      setDraft((known) => ({
        ...known,
        setAside: [
          ...known.setAside.filter((one) => one.row !== row),
          { row, reason, by: officerHere() },
        ].sort((a, b) => a.row - b.row),
      })),
    [],
  )
  const bringBack = useCallback(
    (row: number) =>
      setDraft((known) => ({ ...known, setAside: known.setAside.filter((one) => one.row !== row) })),
    [],
  )
  const { kind, readings, decimalMark, columns } = draft
  const typed = useMemo(
    () => (kind === 'typed' ? readTypedSheet({ readings, decimalMark, columns }) : NOTHING_TYPED),
    [kind, readings, decimalMark, columns],
  )
  const value = useMemo(
    () => ({ id, draft, setField, setFields, file, typed, setAside, bringBack, saving }),
    [id, draft, setField, setFields, file, typed, setAside, bringBack, saving],
  )
  return <Context value={value}>{children}</Context>
}

/** What is set aside moves with its readings, however they are typed. */
function moved(known: SampleDraft, change: Partial<SampleDraft>): Pick<SampleDraft, 'setAside'> | undefined {
  if (change.readings === undefined || change.setAside || known.setAside.length === 0) return undefined
  return { setAside: moveSetAside(known.setAside, typedCells(known), typedCells({ ...known, ...change })) }
}

export function useSample(): Sample {
  const sample = useContext(Context)
  if (!sample) throw new Error('useSample is for parts of a SampleProvider')
  return sample
}
