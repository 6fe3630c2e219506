'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { useDeferredValue, useMemo, useState } from 'react'
import type { DecimalMark } from '@/desk/typed'
import { readSpecification, SPECIFICATION_HEADS } from '@/intake/specification/specification'
import { SPECIFICATION_TEMPLATE } from '@/intake/specification/writeSpecification'
import { DownloadLink } from '@/ui/DownloadLink'
import { FileButton } from '@/ui/FileButton'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { Main } from '@/ui/Main'
import { PageTitle } from '@/ui/PageTitle'
import { Alert, type SampleColumns, SpecificationRows } from './SpecificationRows'

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
  return (
    <Main maxWidth="1080px" marginInline="auto" padding="28px 24px 64px">
      <PageTitle>Bring in a specification</PageTitle>
      <Box as="p" marginTop="8px" maxWidth="76ch">
        Paste a table with its header, or drop a CSV file on the field: each row becomes a claim. Its columns
        are {SPECIFICATION_HEADS.join(', ')}; characteristic and value are needed.{' '}
        <DownloadLink href={TEMPLATE} download="specification.csv" textDecoration="underline">
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
      <TableField {...{ text, take }} onProblem={setProblem} />
      {problem && <Alert role="alert">{problem}</Alert>}
      {read?.ok === false && <Alert role="alert">{read.problem.message}</Alert>}
      {read?.ok && sample && (
        <SpecificationRows
          {...{ caseId, sample, chosen }}
          specification={read.value}
          choose={(line, column) => setChosen({ ...chosen, [line]: column })}
        />
      )}
    </Main>
  )
}

/** The table as a text: typed, pasted, dropped, or from a file. */
function TableField({
  text,
  take,
  onProblem,
}: Readonly<{ text: string; take: (text: string) => void; onProblem: (problem: string) => void }>) {
  const bringIn = async (given: File | undefined) => {
    if (!given) return
    if (given.size > LARGEST_FILE)
      return onProblem('The file is larger than any specification. Choose a table as CSV.')
    take(await given.text())
  }
  return (
    <>
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
        <FileButton
          label="File of a specification"
          accept=".csv,.tsv,.txt,text/csv"
          onFile={(file) => void bringIn(file)}
        >
          Choose a CSV file
        </FileButton>
      </Box>
    </>
  )
}
