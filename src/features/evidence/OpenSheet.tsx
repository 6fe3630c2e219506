'use client'

import { Box, chakra, Flex } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import type { Separator, SheetFormat } from '@/intake/sheet/format'
import type { SheetView } from '@/intake/sheet/takeReadings'
import { Button, QuietButton } from '@/ui/Button'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InlineText } from '@/ui/inline/InlineText'
import type { OpenedSheet } from '@/workers/sheetWorker'
import { SheetPreview } from './SheetPreview'
import type { Taken } from './useSheetFile'

/** More readings than this are not taken into the page. */
const MOST_READINGS = 200_000
const SEPARATOR_WORDS: Readonly<Record<Separator, string>> = {
  ',': 'commas',
  ';': 'semicolons',
  '\t': 'tabs',
  '|': 'bars',
}
const MARK_WORDS = { point: 'decimal point', comma: 'decimal comma' } as const
const ENCODING_WORDS = { 'utf-8': 'UTF-8', 'windows-1252': 'Windows-1252' } as const
const HEADER_WORDS = { 'first-row': 'names the columns', none: 'is a row like the others' } as const
const Sentence = chakra('p', { base: { marginTop: '8px', lineHeight: '1.7' } })

const count = (value: number) => value.toLocaleString('en')

/** A file that has been read: how it is written, its first rows, and which readings of it are wanted. */
export function OpenSheet({
  name,
  opened,
  taken,
  onFormat,
  onAsk,
  onTake,
  onClose,
}: Readonly<{
  name: string
  opened: OpenedSheet
  taken: Taken
  onFormat: (format: SheetFormat) => void
  onAsk: (column: string, where: string) => void
  onTake: (values: readonly number[], words: string) => void
  onClose: () => void
}>) {
  const { format, view } = opened
  const numeric = view.columns.filter(({ kind }) => kind === 'number').map((column) => column.name)
  const [column, setColumn] = useState(() => likelyColumn(numeric, view))
  const [where, setWhere] = useState('')
  useEffect(() => {
    if (column !== '') onAsk(column, where)
  }, [column, where, onAsk])
  const set = (change: Partial<SheetFormat>) => onFormat({ ...format, ...change })
  const { values, problem } = taken
  const words = where.trim() === '' ? '' : ` where ${where.trim()}`
  const missing = view.missingWords.filter((seen) => seen.column === column)
  return (
    <Box marginTop="6px">
      <Sentence>
        {name}: {count(view.rowCount)} rows, cells separated by{' '}
        <InlineChoice
          label="Separator"
          value={format.separator}
          words={SEPARATOR_WORDS}
          onChange={(separator) => set({ separator })}
        />
        , numbers with a{' '}
        <InlineChoice
          label="Decimal mark of the file"
          value={format.decimalMark}
          words={MARK_WORDS}
          onChange={(decimalMark) => set({ decimalMark })}
        />
        , written in{' '}
        <InlineChoice
          label="Encoding"
          value={format.encoding}
          words={ENCODING_WORDS}
          onChange={(encoding) => set({ encoding })}
        />
        ; the first row{' '}
        <InlineChoice
          label="First row"
          value={format.header}
          words={HEADER_WORDS}
          onChange={(header) => set({ header })}
        />
        .
      </Sentence>
      <SheetPreview view={view} />
      {numeric.length === 0 ? (
        <Sentence role="alert">
          No column holds numbers only. Choose another separator or decimal mark.
        </Sentence>
      ) : (
        <Sentence>
          Take{' '}
          <InlineChoice
            label="Column"
            value={column}
            words={Object.fromEntries(numeric.map((one) => [one, one]))}
            onChange={setColumn}
          />{' '}
          of the rows where{' '}
          <InlineText
            label="Rows kept"
            value={where}
            placeholder="any row counts"
            onChange={setWhere}
            isInvalid={problem !== undefined}
          />
          {values && `: ${count(values.length)} of ${count(view.rowCount)} rows`}.
        </Sentence>
      )}
      {problem && (
        <Box role="alert" color="finding.contradicted">
          {problem.message}
        </Box>
      )}
      {missing.map((seen) => (
        <Box key={seen.word} color="warning">
          “{seen.word}” stands {seen.count === 1 ? 'once' : `${count(seen.count)} times`} among these numbers;
          it counts as nothing measured.
        </Box>
      ))}
      {values && values.length > MOST_READINGS && (
        <Box role="alert" color="finding.contradicted">
          {count(values.length)} readings are too many for this page; at most {count(MOST_READINGS)} are
          taken. Narrow the rows down, or check the file on the command line.
        </Box>
      )}
      <Flex gap="12px" marginTop="8px">
        <Button
          type="button"
          disabled={!values || values.length === 0 || values.length > MOST_READINGS}
          onClick={() =>
            values && onTake(values, `${count(values.length)} readings from ${name}, ${column}${words}.`)
          }
        >
          {values ? `Take ${count(values.length)} readings` : 'Take readings'}
        </Button>
        <QuietButton type="button" onClick={onClose}>
          Cancel
        </QuietButton>
      </Flex>
    </Box>
  )
}

/** The first column whose numbers have decimals, as measurements do and codes do not; else the last. */
function likelyColumn(numeric: readonly string[], { columns, rows }: SheetView): string {
  const hasDecimals = (name: string) => {
    const place = columns.findIndex((column) => column.name === name)
    return rows.some((row) => row[place]!.includes('.'))
  }
  return numeric.find(hasDecimals) ?? numeric.at(-1) ?? ''
}
