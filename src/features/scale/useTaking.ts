'use client'

import { useEffect, useEffectEvent, useState } from 'react'
import { type TakenReading, takenRows, withoutLast, withReading } from '@/intake/scale/rows'
import type { SampleDraft } from '@/desk/sampleDraft'
import { backWords, notTakenWords, takenWords } from '@/words/en/scaleWords'
import type { Sample } from '@/ui/sample/SampleProvider'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { readJournal, writeJournal } from './journal'

/** Puts readings into the sample of a claim, each as it is taken; until it is stored this browser keeps it too. */
export function useTaking(): Readonly<{
  /** What was done last, and what kept a reading from being taken; empty for nothing. */
  said: string
  problem: string
  take: (reading: TakenReading) => boolean
  takeBack: (() => void) | undefined
  complain: (problem: string) => void
}> {
  const { draft, setField, first } = useWorkbench()
  const { sample } = first
  const [told, setTold] = useState({ said: '', problem: '' })
  const put = (into: SampleDraft, readings: readonly TakenReading[]): SampleDraft | undefined => {
    let now = into
    let { column } = draft
    for (const reading of readings) {
      const outcome = withReading(now, { column, unit: draft.unit }, reading)
      if (!outcome.ok) {
        setTold({ said: '', problem: notTakenWords(outcome.problem) })
        return undefined
      }
      now = { ...now, ...outcome.value.fields }
      column = outcome.value.column
    }
    sample.setFields({ readings: now.readings, columns: now.columns, setAside: now.setAside })
    if (column !== draft.column) setField('column', column)
    return now
  }

  // What was taken before the page was left, or the machine gave out, and not stored by then.
  useEffect(() => {
    const timer = setTimeout(() => {
      const lost = keepLost(sample)
      if (lost.length > 0 && put(sample.draft, lost)) setTold({ said: backWords(lost.length), problem: '' })
    })
    return () => clearTimeout(timer)
    // Once: what is taken from now on is known.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [])
  const { state } = sample.saving
  const onStored = useEffectEvent(() => keepLost(sample))
  useEffect(() => {
    // Of a page that stored nothing yet it is not known that what it kept is stored.
    if (state.kind === 'saved' && state.at !== undefined) onStored()
  }, [state])

  const left = withoutLast(sample.draft)
  return {
    ...told,
    take: (reading) => {
      writeJournal(sample.id, [...readJournal(sample.id), reading])
      const now = put(sample.draft, [reading])
      if (!now) {
        forget(sample.id, reading.at)
        return false
      }
      const shown = [reading.text, reading.unitOfReading].filter(Boolean).join(' ')
      const place = now.readings.split('\n').length
      setTold({ said: takenWords(shown, place, reading.unit), problem: '' })
      return true
    },
    takeBack:
      left &&
      (() => {
        const last = takenRows(sample.draft).at(-1)!
        forget(sample.id, last.at)
        sample.setFields(left)
        setTold({ said: 'The last reading was taken back.', problem: '' })
      }),
    complain: (problem) => setTold(({ said }) => ({ said, problem })),
  }
}

/** Keeps of the journal what is not in the sample: what could not be put back stays there for the next time. */
function keepLost({ id, draft }: Pick<Sample, 'id' | 'draft'>): readonly TakenReading[] {
  const known = new Set(takenRows(draft).map(({ at }) => at))
  const lost = readJournal(id).filter(({ at }) => !known.has(at))
  writeJournal(id, lost)
  return lost
}

const forget = (sampleId: string, at: string) =>
  writeJournal(
    sampleId,
    readJournal(sampleId).filter((one) => one.at !== at),
  )
