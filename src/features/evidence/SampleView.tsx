'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import dynamic from 'next/dynamic'
import { useRouter } from 'next/navigation'
import type { ReactNode } from 'react'
import { Section } from '@/ui/Section'
import { useSample } from '@/ui/sample/SampleProvider'
import { DownloadLink } from '@/ui/DownloadLink'
import { BringIn } from './BringIn'
import { ColumnLooks } from './ColumnLooks'
import { ColumnsTable } from './ColumnsTable'
import { History, type TrailLine } from './History'
import { MadeColumns } from './MadeColumns'
import { Provenance } from './Provenance'
import { SampleKindChoice, SampleNameText } from './SampleChoice'
import { SetAsideList } from './SetAsideList'
import { formatCount } from '@/words/figures'
import { CountField, EventFields, SummaryFields } from './SummaryFields'
import { Main } from '@/ui/Main'

// Only in the browser: what the server sends may carry no styles of its own, and a sheet places each of its rows by one.
const StoredSheet = dynamic(() => import('./sheet/StoredSheet').then((file) => file.StoredSheet), {
  ssr: false,
})
const TypedGrid = dynamic(() => import('./sheet/TypedGrid').then((file) => file.TypedGrid), { ssr: false })

/** One sample: what was measured, what it is, where it comes from and what was done with it. */
export function SampleView({
  caseId,
  trail,
  children,
}: Readonly<{ caseId: string; trail: readonly TrailLine[]; children: ReactNode }>) {
  const { id, draft, file } = useSample()
  const router = useRouter()
  const isSheet = draft.kind === 'typed' || draft.kind === 'file'
  const parts = [
    ...(isSheet ? [{ id: 'looks', title: 'What they look like', body: <ColumnLooks /> }] : []),
    ...(draft.kind === 'count' || draft.kind === 'events'
      ? []
      : [
          {
            id: 'columns',
            title: isSheet ? 'Columns' : 'What was measured',
            body: <ColumnsPart isSheet={isSheet} />,
          },
        ]),
    { id: 'provenance', title: 'Where it comes from', body: <Provenance /> },
    ...(isSheet
      ? [
          { id: 'set-aside', title: 'Set aside', body: <SetAsideList /> },
          { id: 'take-out', title: 'Take it out', body: <TakeOut id={id} /> },
        ]
      : []),
    { id: 'history', title: 'What was done with it', body: <History trail={trail} /> },
  ]
  return (
    <Main maxWidth="1120px" marginInline="auto" padding="28px 24px 64px">
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
        {draft.kind === 'events' && <EventFields claim={undefined} />}
        <BringIn
          caseId={caseId}
          onBrought={(sampleId) => router.push(`/cases/${caseId}/samples/${sampleId}`)}
        />
      </Section>
      {parts.map(({ id: part, title, body }, at) => (
        <Section key={part} id={part} number={at + 2} title={title}>
          {body}
        </Section>
      ))}
      {children}
    </Main>
  )
}

/** What the columns are, and which are made of them. */
function ColumnsPart({ isSheet }: Readonly<{ isSheet: boolean }>) {
  return (
    <>
      <ColumnsTable />
      {isSheet && <MadeColumns />}
    </>
  )
}

/** The sample as files that any program reads. */
function TakeOut({ id }: Readonly<{ id: string }>) {
  const parts = [
    ['sheet', 'The sheet as CSV'],
    ['codes', 'Its columns and codes as CSV'],
    ['set-aside', 'What is set aside as CSV'],
    ['workbook', 'All of it as XLSX'],
  ] as const
  return (
    <Box display="flex" gap="4px 18px" flexWrap="wrap">
      {parts.map(([part, words]) => (
        <DownloadLink key={part} href={`/api/samples/${id}/export?part=${part}`}>
          {words}
        </DownloadLink>
      ))}
    </Box>
  )
}
