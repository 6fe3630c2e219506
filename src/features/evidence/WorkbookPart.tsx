'use client'

import { Box } from '@chakra-ui/react/box'
import { useState } from 'react'
import type { WorkbookChoice } from '@/intake/workbook/workbook'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InlineText } from '@/ui/inline/InlineText'
import { formatCount } from '@/words/figures'
import type { ShownWorkbook } from '@/workers/sheetWorker'

const HIDDEN_WORDS = { asked: 'to be taken or left out?', taken: 'taken', 'left-out': 'left out' } as const

/** Which part of a workbook is taken, with a guess that can be changed, and what is to be known of it. */
export function WorkbookPart({
  shown,
  choice,
  onChange,
}: Readonly<{ shown: ShownWorkbook; choice: WorkbookChoice; onChange: (choice: WorkbookChoice) => void }>) {
  const { sheets, sheet, part } = shown
  return (
    <Box lineHeight="1.9">
      {sheets.length > 1 && (
        <>
          Sheet{' '}
          <InlineChoice
            label="Sheet of the workbook"
            value={sheet}
            words={Object.fromEntries(sheets.map((one) => [one, one]))}
            onChange={(other) => onChange({ sheet: other })}
          />
          ,{' '}
        </>
      )}
      {part.rowCount > 0 && (
        <>
          rows{' '}
          <RowNumber
            key={`first ${part.firstRow}`}
            label="First row taken"
            value={part.firstRow}
            onChange={(firstRow) => onChange({ ...choice, firstRow })}
          />{' '}
          to{' '}
          <RowNumber
            key={`last ${part.lastRow}`}
            label="Last row taken"
            value={part.lastRow}
            onChange={(lastRow) => onChange({ ...choice, lastRow })}
          />{' '}
          of {formatCount(part.rowCount)}.
        </>
      )}
      {hiddenWithin(shown) > 0 && (
        <Box color={shown.askedRows > 0 ? 'warning' : undefined} role="alert">
          {rowsWords(hiddenWithin(shown))} hidden in the workbook:{' '}
          <InlineChoice
            label="Hidden rows"
            value={choice.hiddenRows ?? 'asked'}
            words={HIDDEN_WORDS}
            onChange={(said) => onChange({ ...choice, hiddenRows: said === 'asked' ? undefined : said })}
          />
        </Box>
      )}
      <Notes {...shown.notes} />
    </Box>
  )
}

const hiddenWithin = ({ notes, part }: ShownWorkbook): number =>
  notes.hiddenRows.filter((row) => row >= part.firstRow && row <= part.lastRow).length

const rowsWords = (count: number) => (count === 1 ? '1 row is' : `${formatCount(count)} rows are`)

/** A row by its number; it is taken once the field is left or Enter is pressed. */
function RowNumber({
  label,
  value,
  onChange,
}: Readonly<{ label: string; value: number; onChange: (row: number) => void }>) {
  const [typed, setTyped] = useState(String(value))
  const row = Number(typed)
  const isInvalid = !Number.isInteger(row) || row < 1
  return (
    <InlineText
      label={label}
      value={typed}
      placeholder="row"
      inputMode="decimal"
      isInvalid={isInvalid}
      onChange={setTyped}
      onLeave={() => {
        if (!isInvalid && row !== value) onChange(row)
      }}
    />
  )
}

function Notes({ formulas, hiddenColumns, merged, isFiltered }: ShownWorkbook['notes']) {
  const notes = [
    formulas.count > 0 &&
      `${formulas.count === 1 ? '1 cell holds a formula' : `${formatCount(formulas.count)} cells hold formulas`}, of which the saved values are taken: ${formulas.examples.join('; ')}${formulas.count > formulas.examples.length ? ' …' : ''}. They were computed, not measured.`,
    hiddenColumns > 0 &&
      `${hiddenColumns === 1 ? '1 hidden column is' : `${formatCount(hiddenColumns)} hidden columns are`} shown here like the others.`,
    merged > 0 &&
      `${merged === 1 ? '1 range is' : `${formatCount(merged)} ranges are`} merged: only the first cell of each has its value.`,
    isFiltered && 'The sheet has a filter: the rows that it hides are among the hidden ones.',
  ].filter((note) => note !== false)
  return notes.map((note) => (
    <Box key={note} color="quiet" lineHeight="1.5">
      {note}
    </Box>
  ))
}
