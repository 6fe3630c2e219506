'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import type { DateOrder } from '@/intake/reading/date'
import type { Separator, SheetFormat } from '@/intake/sheet/format'
import type { Thousands } from '@/intake/reading/thousands'
import { InlineChoice } from '@/ui/inline/InlineChoice'

const Sentence = chakra('p', { base: { marginTop: '8px', lineHeight: '1.7' } })

const SEPARATOR_WORDS: Readonly<Record<Separator, string>> = {
  ',': 'commas',
  ';': 'semicolons',
  '\t': 'tabs',
  '|': 'bars',
}
const MARK_WORDS = { point: 'decimal point', comma: 'decimal comma' } as const
const THOUSANDS_WORDS: Readonly<Record<Thousands, string>> = {
  none: 'nothing',
  ',': 'a comma',
  '.': 'a point',
  ' ': 'a space',
  "'": 'an apostrophe',
}
const ENCODING_WORDS = { 'utf-8': 'UTF-8', 'windows-1252': 'Windows-1252' } as const
const DATE_WORDS: Readonly<Record<DateOrder, string>> = {
  'year-first': 'the year first',
  'day-first': 'the day first',
  'month-first': 'the month first',
}
const HEADER_WORDS = { 'first-row': 'names the columns', none: 'is a row like the others' } as const

/** How a file is written, as a sentence whose words can be changed. */
export function FormatSentence({
  format,
  isWorkbook,
  onChange,
}: Readonly<{ format: SheetFormat; isWorkbook: boolean; onChange: (format: SheetFormat) => void }>) {
  const set = (change: Partial<SheetFormat>) => onChange({ ...format, ...change })
  const header = (
    <>
      The first row{' '}
      <InlineChoice
        label="First row"
        value={format.header}
        words={HEADER_WORDS}
        onChange={(first) => set({ header: first })}
      />
      .
    </>
  )
  if (isWorkbook) return <Sentence>{header}</Sentence>
  return (
    <Sentence>
      Cells are separated by{' '}
      <InlineChoice
        label="Separator"
        value={format.separator}
        words={SEPARATOR_WORDS}
        onChange={(separator) => set({ separator })}
      />
      , numbers have a{' '}
      <InlineChoice
        label="Decimal mark of the file"
        value={format.decimalMark}
        words={MARK_WORDS}
        onChange={(decimalMark) => set({ decimalMark })}
      />{' '}
      and{' '}
      <InlineChoice
        label="Thousands separator"
        value={format.thousands}
        words={THOUSANDS_WORDS}
        onChange={(thousands) => set({ thousands })}
      />{' '}
      between thousands, dates have{' '}
      <InlineChoice
        label="Order of dates"
        value={format.dateOrder}
        words={DATE_WORDS}
        onChange={(dateOrder) => set({ dateOrder })}
      />
      , and it is written in{' '}
      <InlineChoice
        label="Encoding"
        value={format.encoding}
        words={ENCODING_WORDS}
        onChange={(encoding) => set({ encoding })}
      />
      . {header}
    </Sentence>
  )
}
