'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { Fragment } from 'react'
import { readCodes } from '@/desk/codes'
import { type KeptRows, type RowCondition } from '@/desk/rowCondition'
import type { ColumnWords } from '@/desk/sampleDraft'
import type { DecimalMark } from '@/desk/typed'
import { testCells } from '@/intake/reading/rowCondition'
import { ROW_RELATION_WORDS } from '@/words/en/rowConditionWords'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InlineText } from '@/ui/inline/InlineText'
import { useLabel } from '@/ui/sample/SampleProvider'

const Line = chakra('p', { base: { lineHeight: '1.9' } })
const Word = chakra('button', {
  base: {
    minWidth: '24px',
    minHeight: '24px',
    padding: '0 4px',
    border: 0,
    bg: 'transparent',
    color: 'brass',
    textDecoration: 'underline',
    textUnderlineOffset: '3px',
    cursor: 'pointer',
  },
})

const NEEDS_NO_VALUE = ['is-empty', 'is-not-empty'] as const

/** The rows that are kept, or those that have the property that a share is claimed of. */
const PURPOSES = {
  kept: { first: 'of the rows where ', none: 'of all rows', begin: 'only some rows', label: 'condition' },
  counted: {
    first: 'What counts: rows where ',
    none: 'What counts?',
    begin: 'say which rows',
    label: 'counted condition',
  },
} as const

/** Conditions on rows as a sentence whose words can be changed: lines of conditions, "or" between them. */
export function KeptRowsEditor({
  purpose = 'kept',
  kept,
  columns,
  mark,
  onChange,
}: Readonly<{
  purpose?: keyof typeof PURPOSES
  kept: KeptRows
  columns: readonly ColumnWords[]
  mark: DecimalMark
  onChange: (kept: readonly (readonly RowCondition[])[]) => void
}>) {
  const words = PURPOSES[purpose]
  const label = useLabel()
  const first: RowCondition = {
    column: likelyColumn(columns, purpose),
    relation: purpose === 'counted' ? 'at-most' : 'is',
    value: '',
    upTo: '',
  }
  if (kept.length === 0) {
    return (
      <Line>
        {words.none}{' '}
        <Word type="button" onClick={() => onChange([[first]])}>
          {words.begin}
        </Word>
      </Line>
    )
  }
  const setList = (at: number, list: readonly RowCondition[]) =>
    onChange(kept.flatMap((known, place) => (place === at ? (list.length === 0 ? [] : [list]) : [known])))
  return kept.map((list, at) => (
    <Line key={at}>
      {at === 0 ? words.first : 'or where '}
      {list.map((condition, place) => {
        const change = (changed: Partial<RowCondition>) =>
          setList(
            at,
            list.map((known, here) => (here === place ? { ...known, ...changed } : known)),
          )
        return (
          <Fragment key={place}>
            {place > 0 && ' and '}
            <ConditionWords
              condition={condition}
              columns={columns}
              mark={mark}
              name={label(`${words.label} ${kept.slice(0, at).flat().length + place + 1}`)}
              onChange={change}
            />
            <Word
              type="button"
              aria-label={label(`Leave out ${words.label} ${kept.slice(0, at).flat().length + place + 1}`)}
              onClick={() =>
                setList(
                  at,
                  list.filter((_, here) => here !== place),
                )
              }
            >
              ×
            </Word>
          </Fragment>
        )
      })}
      <Word type="button" onClick={() => setList(at, [...list, first])}>
        and
      </Word>
      {at === kept.length - 1 && (
        <Word type="button" onClick={() => onChange([...kept, [first]])}>
          or
        </Word>
      )}
    </Line>
  ))
}

function ConditionWords({
  condition,
  columns,
  mark,
  name: own,
  onChange,
}: Readonly<{
  condition: RowCondition
  columns: readonly ColumnWords[]
  mark: DecimalMark
  name: string
  onChange: (change: Partial<RowCondition>) => void
}>) {
  const { column: name, relation, value, upTo } = condition
  const column = columns.find((one) => one.name === name)
  const codes = readCodes(column?.codes ?? '')
  const meaning = codes.find(({ code }) => code === value.trim())?.meaning
  const needsValue = !NEEDS_NO_VALUE.some((one) => one === relation)
  const isInvalid = needsValue && value !== '' && !testCells(condition, mark).ok
  return (
    <>
      <InlineChoice
        label={`Column of ${own}`}
        value={name}
        words={Object.fromEntries([
          ...(column ? [] : [[name, name]]),
          ...columns.map((one) => [one.name, one.name]),
        ])}
        onChange={(changed) => onChange({ column: changed })}
      />{' '}
      <InlineChoice
        label={`Comparison of ${own}`}
        value={relation}
        words={ROW_RELATION_WORDS}
        onChange={(changed) => onChange({ relation: changed })}
      />{' '}
      {needsValue && (
        <InlineText
          label={`Value of ${own}`}
          value={value}
          placeholder="value"
          onChange={(changed) => onChange({ value: changed })}
          isInvalid={isInvalid}
          suggestions={codes.map(({ code, meaning: words }) => ({
            value: code,
            meaning: `${code} ${words}`,
          }))}
        />
      )}
      {relation === 'between' && (
        <>
          {' and '}
          <InlineText
            label={`Upper value of ${own}`}
            value={upTo}
            placeholder="value"
            onChange={(changed) => onChange({ upTo: changed })}
          />
        </>
      )}
      {meaning && (
        <Box as="span" color="quiet">
          {' '}
          ({meaning})
        </Box>
      )}
    </>
  )
}

/** What counts is most often told by a number; groups by a column with a code list, or with categories, else the first. */
function likelyColumn(columns: readonly ColumnWords[], purpose: keyof typeof PURPOSES): string {
  if (purpose === 'counted') {
    const numbers = columns.filter(({ kind }) => kind === 'number')
    return (numbers.find(({ unit }) => unit !== '') ?? numbers[0] ?? columns[0])?.name ?? ''
  }
  const coded = columns.find(({ codes }) => codes !== '') ?? columns.find(({ kind }) => kind === 'category')
  return (coded ?? columns[0])?.name ?? ''
}
