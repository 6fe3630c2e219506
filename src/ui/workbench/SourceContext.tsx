'use client'

import { createContext, type ReactNode, useContext } from 'react'
import { SOURCE_WORDS } from '@/words/en/conditionWords'
import type { KeptRows } from '@/desk/rowCondition'
import { isSecondOpen, keptPart } from '@/intake/takenFrom'
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
  const { draft, first, setField, setFields } = useWorkbench()
  const source = useContext(Context) ?? first
  const isFirst = source.which === 'first'
  return {
    ...source,
    /** Whether nobody has said yet which sample it is. */
    isOpen: !isFirst && isSecondOpen(draft),
    setColumn: (column: string) => setField(isFirst ? 'column' : 'secondColumn', column),
    setKept: (kept: KeptRows) =>
      setField(
        isFirst ? 'kept' : 'secondKept',
        kept.map((list) => [...list]),
      ),
    /** Takes another sample in its place, and of it what was taken of the one before where that is there too. */
    holdAgainst: (sampleId: string, names: readonly string[] = [], likely = '') => {
      const { column, kept, counted } = keptPart(source.draft, names, likely)
      const rows = kept.map((list) => [...list])
      setFields(
        isFirst
          ? { sampleId, column, kept: rows, counted: counted.map((list) => [...list]) }
          : { secondSampleId: sampleId, secondColumn: column, secondKept: rows },
      )
    },
  }
}
