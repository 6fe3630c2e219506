'use client'

import { LONGEST_PHRASE } from '@/desk/typed'
import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { readCodes, unreadCodeLines } from '@/desk/codes'
import type { ColumnKind, ColumnWords } from '@/desk/sampleDraft'
import { READINGS_COLUMN } from '@/intake/sheet/typedSheet'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InlineText } from '@/ui/inline/InlineText'
import { WideBox } from '@/ui/WideBox'
import { useSample } from '@/ui/sample/SampleProvider'

const KIND_WORDS: Readonly<Record<ColumnKind, string>> = {
  number: 'numbers',
  category: 'categories',
  text: 'texts',
  date: 'dates',
}
const Table = chakra('table', { base: { borderCollapse: 'collapse', width: '100%' } })
const Head = chakra('th', {
  base: {
    textAlign: 'left',
    fontWeight: '600',
    color: 'quiet',
    padding: '4px 16px 4px 0',
    borderBottom: '1px solid',
    borderColor: 'rule',
  },
})
const Cell = chakra('td', {
  base: { padding: '4px 16px 4px 0', verticalAlign: 'top', borderBottom: '1px solid', borderColor: 'rule' },
})
const Codes = chakra('textarea', {
  base: {
    width: '100%',
    minWidth: '220px',
    minHeight: '90px',
    marginTop: '4px',
    padding: '6px 8px',
    border: '1px solid',
    borderColor: 'edge',
    borderRadius: 'md',
    bg: 'surface',
    fontFamily: 'mono',
    fontSize: '13px',
  },
})
const Summary = chakra('summary', { base: { cursor: 'pointer', color: 'brass' } })

/** What each column is: its short name, its label, its unit, its kind and what its codes mean. */
export function ColumnsTable() {
  const { draft, setField, file } = useSample()
  const columns = draft.columns.length === 0 ? [READINGS_COLUMN] : draft.columns
  const change = (at: number, changed: Partial<ColumnWords>) =>
    setField(
      'columns',
      columns.map((column, place) => (place === at ? { ...column, ...changed } : column)),
    )
  const isSheet = draft.kind === 'typed' || draft.kind === 'file'
  return (
    <WideBox label="What each column is">
      <Table aria-label="Columns">
        <thead>
          <tr>
            <Head scope="col">Name</Head>
            <Head scope="col">Label</Head>
            <Head scope="col">Unit</Head>
            {isSheet && <Head scope="col">Kind</Head>}
            {isSheet && <Head scope="col">Codes</Head>}
          </tr>
        </thead>
        <tbody>
          {columns.map((column, at) => (
            <tr key={at}>
              <Cell fontFamily="mono">
                {file ? (
                  column.name
                ) : (
                  <InlineText
                    label={`Name of column ${at + 1}`}
                    value={column.name}
                    placeholder="name"
                    isInvalid={columns.some((one, other) => other !== at && one.name === column.name)}
                    onChange={(name) => change(at, { name })}
                  />
                )}
              </Cell>
              <Cell>
                <InlineText
                  label={`Label of ${column.name}`}
                  value={column.label}
                  placeholder="what it is"
                  onChange={(label) => change(at, { label })}
                />
              </Cell>
              <Cell>
                <InlineText
                  label={`Unit of ${column.name}`}
                  value={column.unit}
                  placeholder="unit"
                  onChange={(unit) => change(at, { unit })}
                />
              </Cell>
              {isSheet && (
                <Cell>
                  {file ? (
                    KIND_WORDS[column.kind]
                  ) : (
                    <InlineChoice
                      label={`Kind of ${column.name}`}
                      value={column.kind}
                      words={KIND_WORDS}
                      onChange={(kind) => change(at, { kind, isKindSaid: true })}
                    />
                  )}
                </Cell>
              )}
              {isSheet && (
                <Cell>
                  <CodeList column={column} onChange={(codes) => change(at, { codes })} />
                </Cell>
              )}
            </tr>
          ))}
        </tbody>
      </Table>
    </WideBox>
  )
}

/** What each code means, typed, pasted or from a file: one a line. */
function CodeList({
  column,
  onChange,
}: Readonly<{ column: ColumnWords; onChange: (codes: string) => void }>) {
  const codes = readCodes(column.codes)
  const unread = unreadCodeLines(column.codes)
  return (
    <details>
      <Summary>{codes.length === 0 ? 'say what its codes mean' : `${codes.length} codes`}</Summary>
      <Codes
        aria-label={`Codes of ${column.name}`}
        placeholder={'7 = North quay depot\n8 = Causeway depot'}
        value={column.codes}
        spellCheck={false}
        onChange={(event) => onChange(event.target.value)}
      />
      {unread.length > 0 && (
        <Box role="alert" color="finding.contradicted">
          Line {unread.slice(0, 5).join(', ')} is no code: write it such as 7 = North quay depot.
        </Box>
      )}
      <label>
        From a file{' '}
        <input
          type="file"
          accept=".csv,.tsv,.txt"
          aria-label={`File of codes of ${column.name}`}
          onChange={(event) => {
            const [chosen] = event.target.files ?? []
            if (chosen) void chosen.text().then((text) => onChange(codesOfFile(text)))
          }}
        />
      </label>
    </details>
  )
}

/** A file of two columns as a code list. */
function codesOfFile(text: string): string {
  return text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\r|\n/)
    .map((line) =>
      line.length > LONGEST_PHRASE
        ? line
        : line.trim().replace(/^"?([^",;\t]+)"?\s*[,;\t]\s*"?(.*?)"?$/, '$1 = $2'),
    )
    .join('\n')
    .slice(0, 200_000)
}
