'use client'

import { parameterOf } from '@/claims/all'
import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { useRef } from 'react'
import { BENCH_IDS } from '@/desk/bench'
import { countsRows, isControlled } from '@/desk/claimDraft'
import { NOTHING_TOLD, type TrailTold } from '@/desk/trail/told'
import type { DecimalMark } from '@/desk/typed'
import { changeOfReadings } from '@/intake/sheet/typedEdit'
import { READINGS_COLUMN } from '@/intake/sheet/typedSheet'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import type { Field } from '@/intake/reading/fieldReader'
import { ProblemLines } from '@/ui/ProblemLines'
import { Section } from '@/ui/Section'
import { useLabel, useSample } from '@/ui/sample/SampleProvider'
import { TextLink } from '@/ui/TextLink'
import { AsSource, useSource } from '@/ui/workbench/SourceContext'
import { LockedPlanNote } from '@/ui/workbench/PlanKept'
import { DownloadLink } from '@/ui/DownloadLink'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { BringIn } from './BringIn'
import { FromSheet } from './FromSheet'
import { HeldAgainstMany } from './HeldAgainstMany'
import { ReadAs } from './ReadAs'
import { ReadingsField } from './ReadingsField'
import { SampleChoice, SampleKindChoice, type SampleName } from './SampleChoice'
import { Pictures } from './pictures/Pictures'
import { PrintedReadings } from './PrintedReadings'
import { SetAsideList } from './SetAsideList'
import { CountField, EventFields, ExposureField, SummaryFields } from './SummaryFields'
import { UnreadList } from './UnreadList'

const MARK_WORDS: Readonly<Record<DecimalMark, string>> = { point: 'decimal point', comma: 'decimal comma' }
/** Its words are controls: they stand apart where lines wrap. */
const Counted = chakra('p', { base: { marginBottom: '8px', lineHeight: '1.9' } })

/** The case that a claim belongs to, and its samples; nothing for one of the bench, which has its own. */
type InCase = Readonly<{ inCase?: Readonly<{ caseId: string; samples: readonly SampleName[] }> }>

/** What was measured, how it was brought in, and which part of it the claim is held against. */
export function EvidenceSection({
  number,
  inCase,
  byTrail: { plan } = NOTHING_TOLD,
}: InCase & Readonly<{ number: number; byTrail?: TrailTold }>) {
  const { draft, first, second: other } = useWorkbench()
  // The tare of each pack is a column of the same sample, which the claim’s sentence names.
  const second = draft.tareBy === 'column' && isControlled(draft) ? undefined : other
  const [one, two] = isControlled(draft) ? ['Packs', 'Empty packs'] : ['First source', 'Second source']
  return (
    <Section id="evidence" number={number} title="Evidence">
      {plan && <LockedPlanNote plan={plan} />}
      {second && <SourceTitle>{one}</SourceTitle>}
      <AsSource source={first}>
        <SourceEvidence inCase={inCase} />
      </AsSource>
      {second && (
        <>
          <SourceTitle>{two}</SourceTitle>
          <AsSource source={second}>
            <SourceEvidence inCase={inCase} />
          </AsSource>
        </>
      )}
      {inCase && <HeldAgainstMany caseId={inCase.caseId} />}
    </Section>
  )
}

const SourceTitle = chakra('h3', {
  base: { fontSize: '14px', fontWeight: '600', marginTop: '12px', _first: { marginTop: 0 } },
})

const BENCH_SAMPLES: readonly SampleName[] = [
  { id: BENCH_IDS.sample, name: 'the first sample', fileName: null, columnNames: [] },
  { id: BENCH_IDS.second, name: 'a second sample', fileName: null, columnNames: [] },
]

/** Problems that are said beside what they are of. */
const SAID_ELSEWHERE: readonly Field[] = ['readings', 'count', 'lotSize']

function SourceEvidence({ inCase }: InCase) {
  const { holdAgainst, evidence, draft, isOpen, which } = useSource()
  const { setField, claimId, draft: claim } = useWorkbench()
  const { id, draft: sample, setFields } = useSample()
  const isMeasured = which === 'first' && sample.kind === 'typed'
  const isListed = evidence.evidence?.kind === 'readings' || evidence.evidence?.kind === 'event-counts'
  const problems = evidence.problems.filter(({ field }) => !SAID_ELSEWHERE.includes(field))
  const keepWidth = (width: number | null) => setField('binWidth', width)
  const isChosen = inCase !== undefined || which === 'second'
  const choice = inCase ? (
    <SampleChoice caseId={inCase.caseId} samples={inCase.samples} />
  ) : (
    <SampleChoice samples={BENCH_SAMPLES} />
  )
  const bringIn = inCase && <BringIn caseId={inCase.caseId} onBrought={holdAgainst} />
  if (isOpen)
    return (
      <>
        <p>Held against {choice}.</p>
        {bringIn}
      </>
    )
  return (
    <>
      <Box as="p" lineHeight="1.9">
        {isChosen ? <>Held against {choice}, given</> : 'Given'} as <SampleKindChoice />.{' '}
        {inCase && (
          <TextLink href={`/cases/${inCase.caseId}/samples/${id}`} color="accent" textDecoration="underline">
            The whole sample
          </TextLink>
        )}
        {inCase && isMeasured && (
          <>
            {' · '}
            <TextLink href={`/cases/${inCase.caseId}/claims/${claimId}/scale`} color="accent">
              Take readings at a scale
            </TextLink>
          </>
        )}
      </Box>
      <Given />
      <EachRow />
      <ProblemLines problems={problems} onWrite={setFields} />
      {evidence.values.length > 1 && (
        <Pictures evidence={evidence} unit={draft.unit} kept={draft.binWidth} keep={keepWidth} />
      )}
      {evidence.evidence?.kind === 'readings' && evidence.evidence.censored && (
        <p>
          Some entries say only that what was measured lies below or above a limit, so the readings are not
          drawn or described here.
        </p>
      )}
      <PrintedReadings evidence={evidence} />
      {sample.setAside.length > 0 && <SetAsideList />}
      {inCase && isListed && (
        <DownloadLink
          display="inline-block"
          paddingBlock="4px"
          href={`/api/claims/${claimId}/readings${which === 'first' ? '' : `?of=${isControlled(claim) ? 'package' : 'second'}`}`}
        >
          Readings as CSV
        </DownloadLink>
      )}
      {bringIn ?? <p>A file is taken in by a case: put the check into one first.</p>}
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
    case 'events':
      return <EventFields claim={draft} />
    case 'file':
      return <FromSheet />
    default:
      return sample.columns.length > 1 || sample.made.length > 0 ? (
        <FromSheet />
      ) : (
        <>
          <TypedList />
          {countsRows(draft) && <FromSheet />}
        </>
      )
  }
}

/** What each row of counts was counted over. */
function EachRow() {
  const { draft } = useSource()
  const { draft: sample } = useSample()
  const isSheet = sample.kind === 'typed' || sample.kind === 'file'
  if (!isSheet || parameterOf(draft.parameter).sample !== 'events') return null
  return (
    <Box lineHeight="1.9">
      Each row counts the events of <ExposureField claim={draft} />
    </Box>
  )
}

/** One list of readings, typed or pasted, with everything that can't be read pointed at. */
function TypedList() {
  const { setField: setClaimField } = useWorkbench()
  const { draft, evidence } = useSource()
  const { draft: sample, setField, setFields, typed } = useSample()
  const label = useLabel()
  const field = useRef<HTMLTextAreaElement>(null)
  const { header } = typed
  const { unread } = evidence
  const unit = sample.columns[0]?.unit || draft.unit
  return (
    <>
      <Counted aria-live="polite">
        {countOf(typed.rowCount - typed.unread.length - (header === undefined ? 0 : 1))}
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
            · {unread.length === 1 ? '1 entry is' : `${unread.length} entries are`} not read
          </Box>
        )}
        {evidence.conversion && <> Converted to the claim’s unit: {evidence.conversion.words}.</>}
      </Counted>
      <ReadingsField
        ref={field}
        value={sample.readings}
        onChange={(readings) => setFields(changeOfReadings(sample, readings))}
        sheet={typed}
      />
      <ReadAs name={(sample.columns[0] ?? READINGS_COLUMN).name} />
      <UnreadList field={field} />
    </>
  )
}

function countOf(count: number): string {
  if (count === 0) return 'No readings yet'
  return count === 1 ? '1 reading' : `${count} readings`
}
