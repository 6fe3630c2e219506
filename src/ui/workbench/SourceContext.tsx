'use client'

import { createContext, type ReactNode, useContext } from 'react'
import { SOURCE_WORDS } from '@/words/en/conditionWords'
import type { KeptRows } from '@/desk/rowCondition'
import { AsSample } from '../sample/SampleProvider'
import { type Source, useWorkbench } from './WorkbenchProvider'

const Context = createContext<Source | null>(null)

/** Shows a source of readings to the parts inside, and its sample. */
export function AsSource({ source, children }: Readonly<{ source: Source; children: ReactNode }>) {
  return (
    <AsSample
      sample={source.sample}
      suffix={source.which === 'second' ? ` of the ${SOURCE_WORDS.second}` : ''}
    >
      <Context value={source}>{children}</Context>
    </AsSample>
  )
}

/** The source that is shown here, and how what is taken from it is changed. */
export function useSource() {
  const { first, setField, setFields } = useWorkbench()
  const source = useContext(Context) ?? first
  const isFirst = source.which === 'first'
  return {
    ...source,
    setColumn: (column: string) => setField(isFirst ? 'column' : 'secondColumn', column),
    setKept: (kept: KeptRows) =>
      setField(
        isFirst ? 'kept' : 'secondKept',
        kept.map((list) => [...list]),
      ),
    /** Takes another sample in its place, of which every row counts at first. */
    holdAgainst: (sampleId: string, column = '') =>
      setFields(
        isFirst
          ? { sampleId, column, kept: [], counted: [] }
          : { secondSampleId: sampleId, secondColumn: column, secondKept: [] },
      ),
  }
}
