'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { useState, useTransition } from 'react'
import { hasUnit } from '@/intake/draftUnits'
import { conversionBetween } from '@/intake/reading/units'
import type { Specification, SpecificationRow } from '@/intake/specification/specification'
import { claimTitle } from '@/words/en/claimTitle'
import { Button } from '@/ui/Button'
import { Cell, Head } from '@/ui/figures/DataTable'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { officerHere } from '@/ui/officer'
import { WideBox } from '@/ui/WideBox'
import { takeSpecification } from './actions'

/** A sample that a specification can be held against. */
export type SampleColumns = Readonly<{
  id: string
  name: string
  columns: readonly Readonly<{ name: string; label: string; unit: string }>[]
}>

const Table = chakra('table', { base: { width: '100%', borderCollapse: 'collapse', marginTop: '12px' } })
const Row = chakra('tr', { base: { borderTop: '1px solid', borderColor: 'rule' } })
export const Alert = chakra('div', { base: { color: 'finding.contradicted', marginTop: '8px' } })

type Readable = Extract<SpecificationRow, { ok: true }>
const NONE = ''

/** What is made of each row, the column that it is held against, and why one is left out. */
export function SpecificationRows({
  caseId,
  sample,
  specification,
  chosen,
  choose,
}: Readonly<{
  caseId: string
  sample: SampleColumns
  specification: Specification
  chosen: Readonly<Record<number, string>>
  choose: (line: number, column: string) => void
}>) {
  const [isRunning, start] = useTransition()
  const [problem, setProblem] = useState('')
  const { rows, unused } = specification
  const readable = rows.filter((row): row is Readable => row.ok)
  const columnOf = ({ line, claim }: Readable) => chosen[line] ?? claim.column
  const refused = rows.length - readable.length
  const open = readable.filter((row) => columnOf(row) === NONE).length
  const store = () =>
    start(async () => {
      // A copy for each: what two claims share would be sent as a reference, which an action does not take.
      const claims = readable.map((row) => ({ ...structuredClone(row.claim), column: columnOf(row) }))
      const taken = await takeSpecification(caseId, { sampleId: sample.id, claims, by: officerHere() })
      if (!taken.ok) setProblem(taken.problem.message)
    })
  return (
    <>
      <WideBox label="Rows of the specification">
        <Table aria-label="Rows of the specification">
          <thead>
            <tr>
              {['Line', 'Claim', 'Held against', 'How it was found'].map((head) => (
                <Head key={head} scope="col">
                  {head}
                </Head>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <SpecificationLine
                key={row.line}
                row={row}
                sample={sample}
                chosen={chosen[row.line]}
                onChoose={(column) => choose(row.line, column)}
              />
            ))}
          </tbody>
        </Table>
      </WideBox>
      {unused.length > 0 && (
        <Box as="p" color="warning" marginTop="8px">
          Nothing was made of the {unused.length === 1 ? 'column' : 'columns'}{' '}
          {unused.map((name) => `“${name}”`).join(', ')}.
        </Box>
      )}
      <Box marginTop="14px" display="flex" gap="14px" alignItems="center" flexWrap="wrap">
        <Button type="button" disabled={isRunning || readable.length === 0} onClick={store}>
          {`Make ${readable.length === 1 ? '1 claim' : `${readable.length} claims`} of it`}
        </Button>
        <span>
          {refused > 0 && `${refused === 1 ? '1 row is' : `${refused} rows are`} left out. `}
          {open > 0 &&
            `${open === 1 ? '1 claim has' : `${open} claims have`} no column yet: it can be chosen later too.`}
        </span>
      </Box>
      {problem && <Alert role="alert">{problem}</Alert>}
    </>
  )
}

const MATCHED: Readonly<Record<Readable['matched'], string>> = {
  stated: 'as stated',
  named: 'of its name',
  guessed: 'guessed: look at it',
  none: 'none of that name',
}

function SpecificationLine({
  row,
  sample,
  chosen,
  onChoose,
}: Readonly<{
  row: SpecificationRow
  sample: SampleColumns
  chosen: string | undefined
  onChoose: (column: string) => void
}>) {
  if (!row.ok)
    return (
      <Row>
        <Cell>{row.line}</Cell>
        <Cell>{row.characteristic || 'no characteristic'}</Cell>
        <Cell colSpan={2} color="finding.contradicted">
          {row.problem.message}
        </Cell>
      </Row>
    )
  const column = chosen ?? row.claim.column
  const words = Object.fromEntries([
    [NONE, 'no column yet'],
    ...sample.columns.map(({ name }) => [name, name]),
  ])
  const unit = sample.columns.find(({ name }) => name === column)?.unit ?? ''
  const converted = hasUnit(row.claim) ? conversionBetween(unit, row.claim.unit) : undefined
  return (
    <Row>
      <Cell>{row.line}</Cell>
      <Cell>{claimTitle(row.claim)}</Cell>
      <Cell>
        <InlineChoice label={`Column of line ${row.line}`} value={column} words={words} onChange={onChoose} />
      </Cell>
      <Cell color={row.matched === 'guessed' || column === NONE ? 'warning' : 'quiet'}>
        {chosen === undefined ? MATCHED[row.matched] : 'chosen'}
        {converted?.ok === false && (
          <Box as="span" display="block" color="finding.contradicted">
            {converted.problem.message}
          </Box>
        )}
      </Cell>
    </Row>
  )
}
