'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { useState } from 'react'
import { calibratedLate } from '@/intake/reading/day'
import { measuredWhen } from '@/intake/readMeasurement'
import { readLotSize } from '@/intake/readEvidence'
import { InlineDay } from '@/ui/InlineDay'
import { ProblemLines } from '@/ui/ProblemLines'
import { formatCount } from '@/words/figures'
import { FOR_A_TEST_REPORT, PROVENANCE_DAYS, PROVENANCE_FIELDS } from '@/words/en/provenanceWords'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InlineText } from '@/ui/inline/InlineText'
import { useSample } from '@/ui/sample/SampleProvider'
import { GroupsFields } from '@/ui/sample/GroupsFields'
import { InstrumentChoice } from '@/ui/sample/InstrumentChoice'

const RANDOM_WORDS = {
  unknown: 'nobody has said whether at random',
  random: 'at random',
  'not-random': 'not at random',
} as const
const INDEPENDENT_WORDS = {
  unknown: 'nobody has said whether one by one or in groups',
  independent: 'one by one',
  'not-independent': 'in groups (by pallet, batch, day, instrument)',
} as const
type Field = (typeof PROVENANCE_FIELDS)[number]
const isForReport = ([field]: Field) => FOR_A_TEST_REPORT.includes(field)
const FOR_REPORT = PROVENANCE_FIELDS.filter(isForReport)
const USUAL = PROVENANCE_FIELDS.filter((field) => !isForReport(field))
const List = chakra('dl', {
  base: { display: 'grid', gridTemplateColumns: '150px 1fr', gap: '6px 16px', '& dt': { color: 'quiet' } },
})

/** Where a sample comes from: how it was drawn, from which lot, and what it was measured with. */
export function Provenance() {
  const { id, draft, setField, file } = useSample()
  // At first: whoever opens it, or empties it, keeps it as it is.
  const [isStated] = useState(() => FOR_REPORT.some(([field]) => draft[field] !== ''))
  return (
    <>
      <List aria-label="Where the sample comes from">
        {file && (
          <>
            <dt>File</dt>
            <dd>
              {file.fileName}, {formatCount(file.fileBytes)} bytes{' '}
              <chakra.a href={`/api/samples/${id}/file`} color="accent">
                As it was handed in
              </chakra.a>
            </dd>
            <dt>SHA-256</dt>
            <chakra.dd fontFamily="mono" fontSize="12px" wordBreak="break-all">
              {file.fileSha256}
            </chakra.dd>
          </>
        )}
        <dt>Drawn</dt>
        <dd>
          <InlineChoice
            label="Whether at random"
            value={draft.drawnAtRandom}
            words={RANDOM_WORDS}
            onChange={(drawnAtRandom) => setField('drawnAtRandom', drawnAtRandom)}
          />
        </dd>
        <dt>Taken</dt>
        <dd>
          <InlineChoice
            label="Whether one by one or in groups"
            value={draft.takenIndependently}
            words={INDEPENDENT_WORDS}
            onChange={(takenIndependently) => setField('takenIndependently', takenIndependently)}
          />
        </dd>
        <dt>Belonging together</dt>
        <dd>
          <GroupsFields />
        </dd>
        <dt>Measured with</dt>
        <dd>
          <InstrumentChoice />
        </dd>
        {USUAL.map((field) => (
          <Entry key={field[0]} field={field} />
        ))}
      </List>
      <chakra.details marginTop="10px" open={isStated}>
        <chakra.summary cursor="pointer" color="quiet">
          What else a test report states
        </chakra.summary>
        <List aria-label="What else a test report states" marginTop="6px">
          {FOR_REPORT.map((field) => (
            <Entry key={field[0]} field={field} />
          ))}
        </List>
      </chakra.details>
    </>
  )
}

function Entry({ field: [field, name, example] }: Readonly<{ field: Field }>) {
  const { draft, setField, setFields } = useSample()
  const late = field === 'calibratedOn' ? calibratedLate(draft.calibratedOn, measuredWhen(draft)) : undefined
  const problems = field === 'lotSize' ? readLotSize(draft).problems : []
  const shared = {
    label: name,
    value: draft[field],
    placeholder: example,
    onChange: (value: string) => setField(field, value),
  }
  return (
    <>
      <dt>{name}</dt>
      <dd>
        {PROVENANCE_DAYS.includes(field) ? (
          <InlineDay {...shared} />
        ) : (
          <InlineText {...shared} isInvalid={problems.length > 0} />
        )}
        <ProblemLines problems={problems} onWrite={setFields} />
        {late && (
          <Box role="alert" color="warning">
            {late}
          </Box>
        )}
      </dd>
    </>
  )
}
