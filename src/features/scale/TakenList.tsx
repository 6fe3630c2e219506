'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import { takenRows, WITH_READING } from '@/intake/scale/rows'
import { typedCells } from '@/intake/sheet/typedSheet'
import { formatCount } from '@/words/figures'
import { instantWords } from '@/words/en/trailWords'
import { Cell, Head } from '@/ui/figures/DataTable'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

/** The claim's page has all of them. */
const SHOWN = 8

/** The readings that were taken last, the last first, with what goes with each. */
export function TakenList() {
  const { draft, first } = useWorkbench()
  const { sample } = first
  const rows = typedCells(sample.draft)
  const all = takenRows(sample.draft)
  if (all.length === 0) return null
  const at = Math.max(
    0,
    sample.draft.columns.findIndex(({ name }) => name === draft.column),
  )
  const unit = sample.draft.columns[at]?.unit ?? ''
  const last = all.slice(-SHOWN).toReversed()
  return (
    <chakra.table
      aria-label="Taken last"
      borderCollapse="collapse"
      marginTop="14px"
      maxWidth="72ch"
      width="100%"
    >
      <thead>
        <tr>
          <Head scope="col">Reading</Head>
          <Head scope="col">{unit}</Head>
          <Head scope="col">{WITH_READING.unit}</Head>
          <Head scope="col">{WITH_READING.tare}</Head>
          <Head scope="col">{WITH_READING.at}</Head>
        </tr>
      </thead>
      <tbody>
        {last.map((one, place) => (
          <tr key={one.at}>
            <Cell>{formatCount(rows.length - place)}</Cell>
            <Cell>{rows[rows.length - 1 - place]?.[at]}</Cell>
            <Cell>{one.unit}</Cell>
            <Cell>{one.tare}</Cell>
            <Cell>{instantWords(one.at)}</Cell>
          </tr>
        ))}
      </tbody>
    </chakra.table>
  )
}
