'use client'

import { countsRows } from '@/desk/claimDraft'
import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { formatCount } from '@/words/figures'
import { columnNamed } from '@/desk/sampleDraft'
import { madeWords } from '@/words/en/madeWords'
import { READINGS_COLUMN } from '@/intake/sheet/typedSheet'
import { columnFor } from '@/intake/takenFrom'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { useLabel, useSample } from '@/ui/sample/SampleProvider'
import { useSource } from '@/ui/workbench/SourceContext'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { ReadAs } from './ReadAs'
import { UnreadList } from './UnreadList'
import { KeptRowsEditor } from './KeptRowsEditor'

const Sentence = chakra('div', { base: { lineHeight: '1.9' } })

/** Which column of the sheet holds the readings, or which rows count, and of which rows, with how many there are. */
export function FromSheet() {
  const { draft, setKept, taken, evidence } = useSource()
  const { draft: sample, file, typed } = useSample()
  const columns = sample.columns.length === 0 ? [READINGS_COLUMN] : sample.columns
  const isShare = countsRows(draft)
  const rowCount = file?.rowCount ?? typed.rowCount
  const hasParts = columns.length > 1 || sample.made.length > 0
  const kinds = [...columns, ...sample.made.map(({ name }) => columnNamed(name, 'number'))]
  return (
    <Sentence>
      {isShare ? <Counted /> : hasParts && <ColumnChoice />}
      {hasParts && (
        <KeptRowsEditor kept={draft.kept} columns={kinds} mark={draft.decimalMark} onChange={setKept} />
      )}
      <Box aria-live="polite">
        {!taken && (isShare || columnFor(draft, sample) !== '') && 'Reading…'}
        {taken?.ok && (columns.length > 1 || isShare) && <TakenWords rowCount={rowCount} />}
        {taken?.ok === false && (
          <Box role="alert" color="finding.contradicted">
            {taken.problem.message}
          </Box>
        )}
        {evidence.conversion && <> Converted to the claim’s unit: {evidence.conversion.words}.</>}
      </Box>
      {columns.length > 1 && columns.map(({ name }) => <ReadAs key={name} name={name} />)}
      {columns.length > 1 && <UnreadList />}
    </Sentence>
  )
}

/** The column of the readings. */
function ColumnChoice() {
  const { draft, setColumn } = useSource()
  const { draft: sample } = useSample()
  const label = useLabel()
  const column = columnFor(draft, sample)
  // One that is not chosen yet, or is there no more, is shown as it is.
  const words = Object.fromEntries([
    [column, column === '' ? 'a column to be chosen' : column],
    ...sample.columns
      .filter(({ kind }) => kind !== 'date')
      .map(({ name, label, kind }) => [
        name,
        `${label ? `${name} (${label})` : name}${kind === 'number' ? '' : ', texts'}`,
      ]),
    ...sample.made.filter(({ name }) => name !== '').map((made) => [made.name, madeWords(made)]),
  ])
  return (
    <>
      Readings from{' '}
      <InlineChoice
        label={label('Column of the readings')}
        value={column}
        words={words}
        onChange={setColumn}
      />
      {', '}
    </>
  )
}

/** Which rows have the property that a share is claimed of. */
function Counted() {
  const { draft, setField } = useWorkbench()
  const { draft: sample } = useSample()
  return (
    <KeptRowsEditor
      purpose="counted"
      kept={draft.counted}
      columns={[
        ...(sample.columns.length === 0 ? [READINGS_COLUMN] : sample.columns),
        ...sample.made.map(({ name }) => columnNamed(name, 'number')),
      ]}
      mark={draft.decimalMark}
      onChange={(counted) =>
        setField(
          'counted',
          counted.map((list) => [...list]),
        )
      }
    />
  )
}

function TakenWords({ rowCount }: Readonly<{ rowCount: number }>) {
  const { taken } = useSource()
  if (!taken?.ok) return null
  const { keptCount, values, count, near } = taken.value
  const told = near
    ? ` The conditions tell “${near.seen}” in ${near.column} from “${near.text}”, which may mean the same: name both, or correct one.`
    : ''
  const rows = `${formatCount(keptCount)} of ${formatCount(rowCount)} rows`
  if (count) {
    const missing =
      count.missing === 0 ? '' : `, ${formatCount(count.missing)} of them without an entry to tell by`
    return (
      <>
        {rows}
        {missing}; {formatCount(count.successes)} of {formatCount(count.n)} count.
        {told}
      </>
    )
  }
  const missing = keptCount - values.length
  return (
    <>
      {rows}
      {missing > 0 && `, ${formatCount(missing)} of them without a reading`}.{told}
    </>
  )
}
