'use client'

import { Box } from '@chakra-ui/react/box'
import { useMemo, useState } from 'react'
import { readEvidence } from '@/intake/readEvidence'
import { columnFor } from '@/intake/takenFrom'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { useSample } from '@/ui/sample/SampleProvider'
import { useTaken } from '@/ui/sample/useTaken'
import { Pictures } from './pictures/Pictures'

const WHATEVER = {
  exposureUnit: '',
  parameter: 'mean' as const,
  kept: [],
  counted: [],
  knownStandardDeviation: '',
  ...({ limitSide: 'none', guardFactor: '', allowForMeasurement: false } as const),
}

/** What one column of the sample looks like, whatever is claimed of it. */
export function ColumnLooks() {
  const held = useSample()
  const { draft: sample } = held
  const [looked, setLooked] = useState('')
  const { columns, decimalMark } = sample
  const question = useMemo(() => {
    // Nothing rests on it: the first of numbers will do.
    const column = looked || (columns.find(({ kind }) => kind === 'number')?.name ?? '')
    return { ...WHATEVER, column, decimalMark }
  }, [looked, columns, decimalMark])
  const numeric = columns.filter(({ kind }) => kind === 'number')
  const taken = useTaken(question, held)
  const column = columnFor(question, sample)
  const unit = sample.columns.find(({ name }) => name === column)?.unit ?? ''
  const evidence = useMemo(
    // What belongs together matters to a test alone.
    () => readEvidence({ sample: { ...sample, groupedBy: 'none' }, taken, draft: { ...question, unit } }),
    [sample, taken, question, unit],
  )
  return (
    <>
      {numeric.length > 1 && (
        <p>
          Of{' '}
          <InlineChoice
            label="Column looked at"
            value={column}
            words={Object.fromEntries(numeric.map(({ name }) => [name, name]))}
            onChange={setLooked}
          />
        </p>
      )}
      {evidence.values.length > 1 ? (
        <Pictures evidence={evidence} unit={unit} />
      ) : (
        <Box color="quiet">{taken ? 'There are fewer than two readings to look at.' : 'Reading…'}</Box>
      )}
    </>
  )
}
