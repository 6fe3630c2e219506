'use client'

import { Box, chakra } from '@chakra-ui/react'
import { columnFor } from '@/intake/takenFrom'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { useSample } from '@/ui/sample/SampleProvider'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { formatCount } from '@/core/wording/figures'
import { KeptRowsEditor } from './KeptRowsEditor'

const Sentence = chakra('div', { base: { lineHeight: '1.9' } })

/** Which column of the sheet holds the readings, and of which rows, with how many there are. */
export function FromSheet() {
  const { draft, setField, taken, evidence } = useWorkbench()
  const { draft: sample, file, typed } = useSample()
  const { columns } = sample
  const column = columnFor(draft, sample)
  const rowCount = file?.rowCount ?? typed.rowCount
  const numeric = columns.filter(({ kind }) => kind === 'number')
  const words = Object.fromEntries([
    [column, column],
    ...numeric.map(({ name, label }) => [name, label ? `${name} (${label})` : name]),
  ])
  return (
    <Sentence>
      {columns.length > 1 && numeric.length > 0 && (
        <>
          Readings from{' '}
          <InlineChoice
            label="Column of the readings"
            value={column}
            words={words}
            onChange={(name) => setField('column', name)}
          />
          {', '}
          <KeptRowsEditor
            kept={draft.kept}
            columns={columns}
            mark={draft.decimalMark}
            onChange={(kept) =>
              setField(
                'kept',
                kept.map((list) => [...list]),
              )
            }
          />
        </>
      )}
      {numeric.length === 0 && columns.length > 0 && (
        <Box role="alert" color="finding.contradicted">
          No column of this sample holds numbers only. Bring the file in with another separator or decimal
          mark.
        </Box>
      )}
      <Box aria-live="polite">
        {!taken && 'Reading…'}
        {taken?.ok && columns.length > 1 && (
          <>
            {formatCount(taken.value.keptCount)} of {formatCount(rowCount)} rows
            {taken.value.keptCount !== taken.value.values.length &&
              `, ${formatCount(taken.value.keptCount - taken.value.values.length)} of them without a reading`}
            .
          </>
        )}
        {taken?.ok === false && (
          <Box role="alert" color="finding.contradicted">
            {taken.problem.message}
          </Box>
        )}
        {evidence.conversion && <> Converted to the claim’s unit: {evidence.conversion.words}.</>}
      </Box>
    </Sentence>
  )
}
