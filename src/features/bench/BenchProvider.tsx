'use client'

import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useState } from 'react'
import { BENCH_IDS, type BenchCheck, type Brought, broughtBy } from '@/desk/bench'
import type { AddressWords } from '@/desk/addressWords'
import { HistoryProvider } from '@/ui/history/HistoryProvider'
import { Main } from '@/ui/Main'
import { SampleProvider, SecondSampleProvider } from '@/ui/sample/SampleProvider'
import { DraftStoreProvider } from '@/ui/saving/DraftStore'
import { ExaminationProvider } from '@/ui/workbench/ExaminationProvider'
import { useIsHere } from '@/ui/useIsHere'
import { WorkbenchProvider } from '@/ui/workbench/WorkbenchProvider'
import { benchStore, type Kept, layOnBench, readBefore, readBench } from './benchStore'

type Bench = Readonly<{
  /** What the address brought that could not be taken as it stood; nothing where all of it was. */
  brought: Brought | undefined
  /** What lay here before. */
  before: BenchCheck | undefined
  /** Lays another check on the bench; the one that lies there, as it stands, can be brought back. */
  lay: (check: BenchCheck, present: BenchCheck) => void
}>

const Context = createContext<Bench | null>(null)

/** A check that belongs to no case, as this browser keeps it: the parts inside are those of the workbench. */
export function BenchProvider(props: Readonly<{ asked: AddressWords; children: ReactNode }>) {
  const isHere = useIsHere()
  return isHere ? (
    <Opened {...props} />
  ) : (
    <Main padding="28px 24px">
      <p>The bench is kept in the browser, which is laying it out.</p>
    </Main>
  )
}

function Opened({ asked, children }: Readonly<{ asked: AddressWords; children: ReactNode }>) {
  const [brought] = useState(() => broughtBy(asked))
  const [{ kept, before, times }, setLaid] = useState(() => ({
    kept: brought ? layOnBench(brought.check, readBench().check) : readBench(),
    before: readBefore(),
    times: 0,
  }))
  // Read again, the address would take the place of what has been written since.
  useEffect(() => window.history.replaceState(null, '', '/bench'), [])
  const lay = useCallback<Bench['lay']>((check, present) => {
    const laid = { kept: layOnBench(check, present), before: readBefore() }
    setLaid((known) => ({ ...laid, times: known.times + 1 }))
  }, [])
  const bench = useMemo(
    () => ({ brought: times === 0 ? brought : undefined, before, lay }),
    [brought, before, times, lay],
  )
  return (
    <Context value={bench}>
      <DraftStoreProvider value={benchStore}>
        <Laid key={times} kept={kept}>
          {children}
        </Laid>
      </DraftStoreProvider>
    </Context>
  )
}

function Laid({ kept, children }: Readonly<{ kept: Kept; children: ReactNode }>) {
  const { check, revisions } = kept
  const sampleOf = (part: 'sample' | 'second') => ({
    ...{ id: BENCH_IDS[part], draft: check[part], revision: revisions[part], file: null },
  })
  return (
    <HistoryProvider>
      <SampleProvider sample={sampleOf('sample')}>
        <SecondSampleProvider sample={sampleOf('second')}>
          <WorkbenchProvider claimId={BENCH_IDS.claim} draft={check.claim} revision={revisions.claim}>
            <ExaminationProvider>{children}</ExaminationProvider>
          </WorkbenchProvider>
        </SecondSampleProvider>
      </SampleProvider>
    </HistoryProvider>
  )
}

export function useBench(): Bench {
  const bench = useContext(Context)
  if (!bench) throw new Error('useBench is for parts of a BenchProvider')
  return bench
}
