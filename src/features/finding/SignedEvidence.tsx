'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { useMemo } from 'react'
import { asksForControl } from '@/answers/claim'
import { type ClaimDocument, type ClaimResult, isTested } from '@/claims/checkAnswer'
import { listsOf } from '@/claims/crossexamination/lists'
import type { CheckResult } from '@/claims/result'
import type { CheckDocument } from '@/claims/terms/request'
import type { SampleDraft } from '@/desk/sampleDraft'
import { testedOf } from '@/pictures/readings'
import { displayOf } from '@/words/display'
import { CONDITION_NAMES, conditionStateWords, SOURCE_WORDS } from '@/words/en/conditionWords'
import { PROVENANCE_FIELDS } from '@/words/en/provenanceWords'
import { formatCount, formatReading } from '@/words/figures'
import { ClaimLine } from '@/ui/charts/ClaimLine'
import { DataTable } from '@/ui/figures/DataTable'
import { FigureTable } from '@/ui/figures/FigureTable'
import { claimLineDrawing } from './claimLineDrawing'

/** More are not listed one by one: the text that was signed has them all. */
const MAX_LISTED = 2000

const Title = chakra('h2', {
  base: { fontSize: '14px', fontWeight: '600', color: 'quiet', marginTop: '20px' },
})
const Reading = chakra('li', {
  base: { display: 'inline-block', fontFamily: 'mono', fontSize: '13px', marginRight: '14px' },
})

type Signed = Readonly<{
  samples: readonly Readonly<{ id: string; draft: SampleDraft }>[]
  document: ClaimDocument
  result: ClaimResult
}>

/** What a finding was signed over: its conditions, its samples and every reading, as they were. */
export function SignedEvidence({
  signed: { samples, document, result },
  decimals,
}: Readonly<{ signed: Signed; decimals: number | undefined }>) {
  return (
    <>
      {isTested(result) && !asksForControl(document) && (
        <SignedLine document={document} result={result} decimals={decimals} />
      )}
      {'conditions' in result && result.conditions.length > 0 && (
        <>
          <Title>Conditions</Title>
          <DataTable
            label="Conditions signed"
            heads={['Condition', 'State', 'What follows']}
            rows={result.conditions.map((condition) => [
              `${CONDITION_NAMES[condition.name]}${'of' in condition && condition.of ? `, ${SOURCE_WORDS[condition.of]}` : ''}`,
              conditionStateWords(condition),
              condition.sentence,
            ])}
          />
        </>
      )}
      {samples.map(({ id, draft }) => (
        <SampleAsSigned key={id} draft={draft} />
      ))}
      {readingsOf(document).map(({ of, values, setAside }) => (
        <Box key={of ?? ''}>
          <Title>
            {formatCount(values.length)} {readingNoun(document)}
            {of ? `, ${SOURCE_WORDS[of]}` : ''}, in the order given
            {setAside.length > 0 && `; ${formatCount(setAside.length)} of them, struck through, set aside`}
          </Title>
          <ReadingList values={values} setAside={setAside} />
        </Box>
      ))}
    </>
  )
}

function SampleAsSigned({ draft }: Readonly<{ draft: SampleDraft }>) {
  const rows = PROVENANCE_FIELDS.flatMap(([field, name]) =>
    draft[field] ? [{ name, figure: draft[field] }] : [],
  )
  const name = draft.name.trim()
  return (
    <>
      <Title>{name === '' ? 'Sample' : `Sample: ${name}`}</Title>
      {rows.length === 0 ? (
        <p>Where it comes from is not stated.</p>
      ) : (
        <FigureTable label={`Where ${name || 'the sample'} comes from`} rows={rows} />
      )}
    </>
  )
}

function SignedLine({
  document,
  result,
  decimals,
}: Readonly<{ document: CheckDocument; result: CheckResult; decimals: number | undefined }>) {
  const drawing = useMemo(() => {
    const [{ values = [], setAside = [] } = {}] = listsOf(document.evidence)
    return claimLineDrawing({
      values: testedOf({ values, setAside }),
      result,
      display: displayOf(document.claim, result, decimals),
      parameter: document.claim.parameter,
    })
  }, [document, result, decimals])
  return (
    <Box marginTop="16px" bg="surface" paddingInline="8px">
      <ClaimLine {...drawing} />
    </Box>
  )
}

/** Of events each entry is a count, of a pack its content or what it weighs with its package. */
function readingNoun(document: ClaimDocument): string {
  if (!asksForControl(document)) return document.evidence.kind === 'event-counts' ? 'counts' : 'readings'
  return document.content.gross ? 'readings with the package' : 'readings'
}

function readingsOf(document: ClaimDocument) {
  if (!asksForControl(document)) return listsOf(document.evidence)
  const { values, gross, setAside = [] } = document.content
  return [{ of: undefined, values: values ?? gross ?? [], setAside }]
}

function ReadingList({
  values,
  setAside,
}: Readonly<{ values: readonly number[]; setAside: readonly number[] }>) {
  const left = new Set(setAside)
  const more = values.length - MAX_LISTED
  return (
    <Box as="ol" aria-label="Readings signed" marginTop="4px">
      {values.slice(0, MAX_LISTED).map((value, at) => (
        <Reading key={at} textDecoration={left.has(at) ? 'line-through' : undefined}>
          {formatReading(value)}
        </Reading>
      ))}
      {more > 0 && <Reading>and {formatCount(more)} more, in the text that was signed</Reading>}
    </Box>
  )
}
