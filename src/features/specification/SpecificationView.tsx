'use client'

import { Box, chakra } from '@chakra-ui/react'
import { useDeferredValue, useMemo, useRef, useState, useTransition } from 'react'
import type { DecimalMark } from '@/desk/typed'
import {
  readSpecification,
  type Specification,
  SPECIFICATION_HEADS,
  type SpecificationRow,
} from '@/intake/specification/specification'
import { SPECIFICATION_TEMPLATE } from '@/intake/specification/writeSpecification'
import { claimTitle } from '@/words/en/claimTitle'
import { Button, QuietButton } from '@/ui/Button'
import { DownloadLink } from '@/ui/DownloadLink'
import { Cell, Head } from '@/ui/figures/DataTable'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { Main } from '@/ui/Main'
import { officerHere } from '@/ui/officer'
import { PageTitle } from '@/ui/PageTitle'
import { WideBox } from '@/ui/WideBox'
import { takeSpecification } from './actions'

type SampleColumns = Readonly<{
  id: string
  name: string
  columns: readonly Readonly<{ name: string; label: string }>[]
}>

const Field = chakra('textarea', {
  base: {
    display: 'block',
    width: '100%',
    minHeight: '150px',
    fontFamily: 'mono',
    fontSize: '13px',
    padding: '8px',
    bg: 'surface',
    color: 'ink',
    border: '1px solid',
    borderColor: 'edge',
    borderRadius: 'md',
    marginTop: '8px',
  },
})
const Table = chakra('table', { base: { width: '100%', borderCollapse: 'collapse', marginTop: '12px' } })
const Row = chakra('tr', { base: { borderTop: '1px solid', borderColor: 'rule' } })
const Alert = chakra('div', { base: { color: 'finding.contradicted', marginTop: '8px' } })
const TEMPLATE = `data:text/csv;charset=utf-8,${encodeURIComponent(SPECIFICATION_TEMPLATE)}`
const MARKS: Readonly<Record<DecimalMark, string>> = { point: 'a decimal point', comma: 'a decimal comma' }
/** A file that is no table. */
const LARGEST_FILE = 2_000_000

/** A specification as a table: a claim for each row, with the column that it is held against. */
export function SpecificationView({
  caseId,
  samples,
}: Readonly<{ caseId: string; samples: readonly SampleColumns[] }>) {
  const [text, setText] = useState('')
  const [sampleId, setSampleId] = useState(samples[0]?.id ?? '')
  const [mark, setMark] = useState<DecimalMark>()
  const [chosen, setChosen] = useState<Readonly<Record<number, string>>>({})
  const [problem, setProblem] = useState('')
  const file = useRef<HTMLInputElement>(null)
  const sample = samples.find(({ id }) => id === sampleId)
  const shown = useDeferredValue(text)
  const read = useMemo(
    () => (shown.trim() === '' ? undefined : readSpecification(shown, sample?.columns ?? [], mark)),
    [shown, sample, mark],
  )
  const take = (next: string) => {
    setText(next)
    setChosen({})
    setProblem('')
  }
  const bringIn = async (given: File | undefined) => {
    if (!given) return
    if (given.size > LARGEST_FILE)
      return setProblem('The file is larger than any specification. Choose a table as CSV.')
    take(await given.text())
  }
  return (
    <Main maxWidth="1080px" marginInline="auto" padding="28px 24px 64px">
      <PageTitle>Bring in a specification</PageTitle>
      <Box as="p" marginTop="8px" maxWidth="76ch">
        Paste a table with its header, or drop a CSV file on the field: each row becomes a claim. Its columns
        are {SPECIFICATION_HEADS.join(', ')}; characteristic and value are needed.{' '}
        <DownloadLink href={TEMPLATE} download="specification.csv">
          A template to fill in
        </DownloadLink>
      </Box>
      {samples.length === 0 ? (
        <Alert>The case has no sample yet. Add one first: the claims are held against its columns.</Alert>
      ) : (
        <Box as="p" marginTop="8px">
          Held against{' '}
          <InlineChoice
            label="Sample"
            value={sampleId}
            words={Object.fromEntries(samples.map(({ id, name }) => [id, name]))}
            onChange={(id) => {
              setSampleId(id)
              setChosen({})
            }}
          />
          , its numbers written with{' '}
          <InlineChoice
            label="Decimal mark"
            value={mark ?? (read?.ok ? read.value.decimalMark : 'point')}
            words={MARKS}
            onChange={setMark}
          />
          .
        </Box>
      )}
      <Field
        aria-label="Specification"
        value={text}
        spellCheck={false}
        placeholder={SPECIFICATION_TEMPLATE}
        onChange={(event) => take(event.target.value)}
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault()
          void bringIn(event.dataTransfer.files[0])
        }}
      />
      <Box marginTop="8px">
        <QuietButton type="button" onClick={() => file.current?.click()}>
          Choose a CSV file
        </QuietButton>
        <input
          ref={file}
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          aria-label="File of a specification"
          hidden
          onChange={(event) => {
            void bringIn(event.target.files?.[0])
            event.target.value = ''
          }}
        />
      </Box>
      {problem && <Alert role="alert">{problem}</Alert>}
      {read?.ok === false && <Alert role="alert">{read.problem.message}</Alert>}
      {read?.ok && sample && (
        <Rows
          {...{ caseId, sample, chosen }}
          specification={read.value}
          choose={(line, column) => setChosen({ ...chosen, [line]: column })}
        />
      )}
    </Main>
  )
}

type Readable = Extract<SpecificationRow, { ok: true }>
const NONE = ''

function Rows({
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
      const claims = readable.map((row) => ({ ...row.claim, column: columnOf(row) }))
      const taken = await takeSpecification(caseId, { sampleId: sample.id, claims, by: officerHere() })
      if (!taken.ok) setProblem(taken.problem.message)
    })
  return (
    <>
      <WideBox label="Rows of the specification">
        <Table aria-label="Rows of the specification">
          <thead>
            <tr>
              {['Line', 'Claim', 'Held against', ''].map((head) => (
                <Head key={head} scope="col">
                  {head}
                </Head>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <Row key={row.line}>
                <Cell>{row.line}</Cell>
                {row.ok ? (
                  <>
                    <Cell>{claimTitle({ ...row.claim })}</Cell>
                    <Cell>
                      <InlineChoice
                        label={`Column of line ${row.line}`}
                        value={columnOf(row)}
                        words={Object.fromEntries([
                          [NONE, 'no column yet'],
                          ...sample.columns.map(({ name }) => [name, name]),
                        ])}
                        onChange={(column) => choose(row.line, column)}
                      />
                    </Cell>
                    <Cell color={row.matched === 'guessed' || columnOf(row) === NONE ? 'warning' : 'quiet'}>
                      {chosen[row.line] === undefined ? MATCHED[row.matched] : 'chosen'}
                    </Cell>
                  </>
                ) : (
                  <>
                    <Cell>{row.characteristic || 'no characteristic'}</Cell>
                    <Cell colSpan={2} color="finding.contradicted">
                      {row.problem.message}
                    </Cell>
                  </>
                )}
              </Row>
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
