'use client'

import { parameterOf } from '@/claims/all'
import { Box, chakra } from '@chakra-ui/react'
import { useRef } from 'react'
import type { DecimalMark } from '@/desk/typed'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { Section } from '@/ui/Section'
import { useLabel, useSample } from '@/ui/sample/SampleProvider'
import { TextLink } from '@/ui/TextLink'
import { AsSource, useSource } from '@/ui/workbench/SourceContext'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { BringIn } from './BringIn'
import { FromSheet } from './FromSheet'
import { ReadingsField } from './ReadingsField'
import { SampleChoice, SampleKindChoice, type SampleName } from './SampleChoice'
import { Pictures } from './pictures/Pictures'
import { SetAsideList } from './SetAsideList'
import { CountField, SummaryFields } from './SummaryFields'
import { UnreadList } from './UnreadList'

const MARK_WORDS: Readonly<Record<DecimalMark, string>> = { point: 'decimal point', comma: 'decimal comma' }
const Counted = chakra('p', { base: { marginBottom: '8px' } })

/** What was measured, how it was brought in, and which part of it the claim is held against. */
export function EvidenceSection({
  number,
  ...own
}: Readonly<{ number: number; caseId: string; samples: readonly SampleName[] }>) {
  const { first, second } = useWorkbench()
  return (
    <Section id="evidence" number={number} title="Evidence">
      {second && <SourceTitle>First source</SourceTitle>}
      <AsSource source={first}>
        <SourceEvidence {...own} />
      </AsSource>
      {second && (
        <>
          <SourceTitle>Second source</SourceTitle>
          <AsSource source={second}>
            <SourceEvidence {...own} />
          </AsSource>
        </>
      )}
    </Section>
  )
}

const SourceTitle = chakra('h3', {
  base: { fontSize: '14px', fontWeight: '600', marginTop: '12px', _first: { marginTop: 0 } },
})

function SourceEvidence({ caseId, samples }: Readonly<{ caseId: string; samples: readonly SampleName[] }>) {
  const { holdAgainst, evidence, draft } = useSource()
  const { id, draft: sample } = useSample()
  const problems = evidence.problems.filter(({ field }) => field !== 'readings' && field !== 'count')
  return (
    <>
      <p>
        Held against <SampleChoice caseId={caseId} samples={samples} />, given as <SampleKindChoice />.{' '}
        <TextLink href={`/cases/${caseId}/samples/${id}`} color="accent">
          The whole sample
        </TextLink>
      </p>
      <Given />
      {problems.map(({ field, message }) => (
        <Box key={field} role="alert" color="finding.contradicted">
          {message}
        </Box>
      ))}
      {evidence.values.length > 1 && <Pictures evidence={evidence} unit={draft.unit} />}
      {sample.setAside.length > 0 && <SetAsideList />}
      <BringIn caseId={caseId} onBrought={holdAgainst} />
    </>
  )
}

function Given() {
  const { draft, evidence } = useSource()
  const { draft: sample } = useSample()
  switch (sample.kind) {
    case 'summary':
      return (
        <>
          <SummaryFields unit={sample.columns[0]?.unit || draft.unit} />
          {evidence.conversion && <p>Converted to the claim’s unit: {evidence.conversion.words}.</p>}
        </>
      )
    case 'count':
      return <CountField />
    case 'file':
      return <FromSheet />
    default:
      return sample.columns.length > 1 ? (
        <FromSheet />
      ) : (
        <>
          <TypedList />
          {parameterOf(draft.parameter).sample === 'counted' && <FromSheet />}
        </>
      )
  }
}

/** One list of readings, typed or pasted, with everything that can't be read pointed at. */
function TypedList() {
  const { setField: setClaimField } = useWorkbench()
  const { draft, evidence } = useSource()
  const { draft: sample, setField, typed } = useSample()
  const label = useLabel()
  const field = useRef<HTMLTextAreaElement>(null)
  const { unread } = typed
  const unit = sample.columns[0]?.unit || draft.unit
  return (
    <>
      <Counted aria-live="polite">
        {countOf(typed.rowCount - unread.length)}
        {unit && ` in ${unit}`}, written with a{' '}
        <InlineChoice
          label={label('Decimal mark')}
          value={sample.decimalMark}
          words={MARK_WORDS}
          onChange={(mark) => {
            setField('decimalMark', mark)
            setClaimField('decimalMark', mark)
          }}
        />
        {unread.length > 0 && (
          <Box as="span" color="finding.contradicted">
            {' '}
            · {unread.length === 1 ? '1 entry is' : `${unread.length} entries are`} no number and not counted
          </Box>
        )}
        {evidence.conversion && <> Converted to the claim’s unit: {evidence.conversion.words}.</>}
      </Counted>
      <ReadingsField
        ref={field}
        value={sample.readings}
        onChange={(readings) => setField('readings', readings)}
        sheet={typed}
      />
      <UnreadList unread={unread} decimalMark={sample.decimalMark} field={field} />
    </>
  )
}

function countOf(count: number): string {
  if (count === 0) return 'No readings yet'
  return count === 1 ? '1 reading' : `${count} readings`
}
