'use client'

import { Box, chakra } from '@chakra-ui/react'
import { useRouter } from 'next/navigation'
import { Section } from '@/ui/Section'
import { useSample } from '@/ui/sample/SampleProvider'
import { TextLink } from '@/ui/TextLink'
import { BringIn } from './BringIn'
import { ColumnsTable } from './ColumnsTable'
import { Provenance } from './Provenance'
import { SampleKindChoice, SampleNameText } from './SampleChoice'
import { SetAsideList } from './SetAsideList'
import { StoredSheet } from './sheet/StoredSheet'
import { TypedGrid } from './sheet/TypedGrid'
import { formatCount } from '@/core/wording/figures'
import { CountField, SummaryFields } from './SummaryFields'

export type TrailLine = Readonly<{ id: string; at: Date; who: string; action: string; detail: string }>

const ACTION_WORDS: Readonly<Record<string, string>> = {
  'brought-in': 'brought in',
  'set-aside': 'set aside',
  'brought-back': 'brought back',
}
const time = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone: 'UTC' })

/** One sample: what was measured, what it is, where it comes from and what was done with it. */
export function SampleView({ caseId, trail }: Readonly<{ caseId: string; trail: readonly TrailLine[] }>) {
  const { id, draft, file } = useSample()
  const router = useRouter()
  const isSheet = draft.kind === 'typed' || draft.kind === 'file'
  return (
    <Box as="main" maxWidth="1120px" marginInline="auto" padding="28px 24px 64px">
      <chakra.h1 fontFamily="heading" fontSize="28px" fontWeight="600" marginBottom="4px">
        <SampleNameText />
      </chakra.h1>
      <Box marginBottom="18px">
        Given as <SampleKindChoice />
        {file && `, ${formatCount(file.rowCount)} rows`}.
      </Box>
      <Section id="readings" number={1} title="Readings">
        {file && <StoredSheet rowCount={file.rowCount} />}
        {draft.kind === 'typed' && <TypedGrid />}
        {draft.kind === 'summary' && <SummaryFields unit={draft.columns[0]?.unit ?? ''} />}
        {draft.kind === 'count' && <CountField />}
        <BringIn
          caseId={caseId}
          onBrought={(sampleId) => router.push(`/cases/${caseId}/samples/${sampleId}`)}
        />
      </Section>
      {draft.kind !== 'count' && (
        <Section id="columns" number={2} title={isSheet ? 'Columns' : 'What was measured'}>
          <ColumnsTable />
        </Section>
      )}
      <Section id="provenance" number={3} title="Where it comes from">
        <Provenance />
      </Section>
      {isSheet && (
        <Section id="set-aside" number={4} title="Set aside">
          <SetAsideList />
        </Section>
      )}
      {isSheet && (
        <Section id="take-out" number={5} title="Take it out">
          <Box display="flex" gap="18px">
            <TextLink href={`/api/samples/${id}/export?part=sheet`} color="accent" download>
              The sheet as CSV
            </TextLink>
            <TextLink href={`/api/samples/${id}/export?part=codes`} color="accent" download>
              Its columns and codes as CSV
            </TextLink>
            <TextLink href={`/api/samples/${id}/export?part=set-aside`} color="accent" download>
              What is set aside as CSV
            </TextLink>
          </Box>
        </Section>
      )}
      <Section id="history" number={isSheet ? 6 : 4} title="What was done with it">
        {trail.length === 0 && <Box color="quiet">Nothing yet.</Box>}
        <ol aria-label="What was done with the sample">
          {trail.map(({ id: entry, at, who, action, detail }) => (
            <li key={entry}>
              {time.format(at)} UTC: {ACTION_WORDS[action]}
              {who && ` by ${who}`}. {detail}
            </li>
          ))}
        </ol>
      </Section>
    </Box>
  )
}
