'use client'

import { createContext, type ReactNode, useContext, useEffect, useState } from 'react'
import type { Examined } from '@/claims/crossexamination/question'
import type { Examiner } from '@/workers/examiner'
import { proxy, wrap } from '@/workers/link'
import { type Checked, useWorkbench } from './WorkbenchProvider'

/** After a change, in milliseconds: nobody reads what changes with every key. */
const PAUSE_MS = 250

export type Examination = Readonly<{
  answers: readonly Examined[]
  /** How many questions there are; 0 until they are known. */
  of: number
  isDone: boolean
  /** Why it ended before its time. */
  failure?: string
  /** Whether it was stopped by hand. */
  isStopped: boolean
  /** Stops it, or begins it again. */
  stop: (isStopped: boolean) => void
}>

type Known = Omit<Examination, 'isStopped' | 'stop'>
const NOTHING: Known = { answers: [], of: 0, isDone: false }
const Context = createContext<Examination>({ ...NOTHING, isStopped: false, stop: () => undefined })

/** Cross-examines the finding as it stands, in a worker of its own that ends when something changes. */
export function ExaminationProvider({ children }: Readonly<{ children: ReactNode }>) {
  return <Context value={useExaminationOf()}>{children}</Context>
}

export const useExamination = (): Examination => useContext(Context)

function useExaminationOf(): Examination {
  const { checked, isStale, evidence } = useWorkbench()
  const current = isStale ? undefined : checked
  const { withSetAside } = evidence
  const [known, setKnown] = useState<Known & Readonly<{ to: Checked | undefined; run?: object }>>({
    ...NOTHING,
    to: undefined,
  })
  const [stopped, setStopped] = useState<Checked>()
  const isStopped = current !== undefined && stopped === current
  useEffect(() => {
    if (!current || isStopped) return
    const run = {}
    let worker: Worker | undefined
    const timer = setTimeout(() => {
      worker = new Worker(new URL('../../workers/examiner.ts', import.meta.url), { type: 'module' })
      const add = (answer: Examined, of: number) =>
        setKnown((seen) => {
          const answers = seen.run === run ? [...seen.answers, answer] : [answer]
          return { to: current, run, answers, of, isDone: answers.length === of }
        })
      wrap<Examiner>(worker)
        .examine({ ...current, withSetAside }, proxy(add))
        .catch((error: unknown) =>
          setKnown({
            ...NOTHING,
            to: current,
            failure: error instanceof Error ? error.message : String(error),
          }),
        )
    }, PAUSE_MS)
    return () => {
      clearTimeout(timer)
      worker?.terminate()
    }
  }, [current, withSetAside, isStopped])
  return {
    ...(known.to === current && current ? known : NOTHING),
    isStopped,
    stop: (isToStop) => setStopped(isToStop ? current : undefined),
  }
}
