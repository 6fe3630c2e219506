'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { EMPTY_MADE, isOfOne, type MadeColumn } from '@/desk/madeColumn'
import { MADE_WORDS, madeWords } from '@/words/en/madeWords'
import { QuietButton } from '@/ui/Button'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InlineText } from '@/ui/inline/InlineText'
import { useSample } from '@/ui/sample/SampleProvider'

const Line = chakra('li', { base: { lineHeight: '2', marginTop: '4px' } })
const Days = chakra('textarea', {
  base: {
    display: 'block',
    width: '280px',
    maxWidth: '100%',
    border: '1px solid',
    borderColor: 'edge',
    bg: 'surface',
    padding: '4px 8px',
  },
})

/** Columns that are made of those of the sheet: what they are, to be changed in place. */
export function MadeColumns() {
  const { draft, setField } = useSample()
  const { made, columns } = draft
  const [first, second = first] = columns
    .filter(({ kind }) => kind === 'number' || kind === 'date')
    .map(({ name }) => name)
  const change = (at: number, changed: Partial<MadeColumn>) =>
    setField(
      'made',
      made.map((one, place) => (place === at ? { ...one, ...changed } : one)),
    )
  const add = () => setField('made', [...made, { ...EMPTY_MADE, first: first ?? '', second: second ?? '' }])
  if (columns.length === 0) return null
  return (
    <Box marginTop="12px">
      <ul aria-label="Columns made of columns">
        {made.map((own, at) => (
          <Line key={at}>
            <MadeColumnSentence own={own} onChange={(changed) => change(at, changed)} />{' '}
            <QuietButton
              type="button"
              aria-label={`Remove ${own.name || 'this column'}`}
              onClick={() =>
                setField(
                  'made',
                  made.filter((_, place) => place !== at),
                )
              }
            >
              Remove
            </QuietButton>
          </Line>
        ))}
      </ul>
      <QuietButton type="button" onClick={add}>
        Make a column of these
      </QuietButton>
    </Box>
  )
}

function MadeColumnSentence({
  own,
  onChange,
}: Readonly<{ own: MadeColumn; onChange: (changed: Partial<MadeColumn>) => void }>) {
  const { draft } = useSample()
  const nameIn = (chosen: string) =>
    Object.fromEntries([[chosen, chosen || 'a column'], ...draft.columns.map(({ name }) => [name, name])])
  const text = (field: 'name' | 'factor' | 'offset' | 'unit', label: string, placeholder: string) => (
    <InlineText
      label={`${label} of ${own.name || 'the new column'}`}
      value={own[field]}
      placeholder={placeholder}
      onChange={(value) => onChange({ [field]: value })}
    />
  )
  return (
    <>
      {text('name', 'Name', 'name')} ={' '}
      <InlineChoice
        label={`First column of ${own.name || 'the new column'}`}
        value={own.first}
        words={nameIn(own.first)}
        onChange={(first) => onChange({ first })}
      />{' '}
      <InlineChoice
        label={`How ${own.name || 'the new column'} is made`}
        value={own.kind}
        words={MADE_WORDS}
        onChange={(kind) => onChange({ kind })}
      />{' '}
      {isOfOne(own.kind) ? (
        <>
          {text('factor', own.kind === 'density' ? 'Density' : 'Factor', 'figure')}
          {own.kind === 'scaled' && <> plus {text('offset', 'Offset', '0')}</>}, in{' '}
          {text('unit', 'Unit', 'unit')}
        </>
      ) : (
        <InlineChoice
          label={`Second column of ${own.name || 'the new column'}`}
          value={own.second}
          words={nameIn(own.second)}
          onChange={(second) => onChange({ second })}
        />
      )}
      <Box as="span" color="quiet">
        {own.name !== '' && ` · ${madeWords(own)}`}
      </Box>
      {own.kind === 'working-days' && (
        <Box>
          Nobody works on Saturdays, on Sundays and on these days, one a line:
          <Days
            aria-label={`Holidays of ${own.name || 'the new column'}`}
            rows={3}
            placeholder="2026-12-25"
            value={own.holidays}
            onChange={(event) => onChange({ holidays: event.target.value })}
          />
        </Box>
      )}
    </>
  )
}
