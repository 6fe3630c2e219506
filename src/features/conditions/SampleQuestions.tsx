'use client'

import { Box } from '@chakra-ui/react/box'
import { SOURCE_WORDS } from '@/words/en/conditionWords'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import type { Field } from '@/intake/reading/fieldReader'
import { GroupsFields } from '@/ui/sample/GroupsFields'
import { readLotSize } from '@/intake/readEvidence'
import { InlineText } from '@/ui/inline/InlineText'
import { ProblemLines } from '@/ui/ProblemLines'
import { AsSource } from '@/ui/workbench/SourceContext'
import type { Source } from '@/ui/workbench/WorkbenchProvider'

const RANDOM = {
  unknown: 'not answered yet',
  random: 'yes, at random',
  'not-random': 'no, not at random',
} as const
const INDEPENDENT = {
  unknown: 'not answered yet',
  independent: 'one by one',
  'not-independent': 'in groups',
} as const

const GROUP_FIELDS: readonly Field[] = ['groupColumn', 'clustersInLot', 'strataSizes']

/** What only a person can say of a sample; the finding says which of it nobody has answered. */
export function SampleQuestions({
  source,
  isOfTwo,
  hasLot,
}: Readonly<{ source: Source; isOfTwo: boolean; hasLot: boolean }>) {
  const { draft, setField, setFields } = source.sample
  const lotProblems = readLotSize(draft).problems
  const { problems, missing } = source.evidence
  const groupProblems = [...problems, ...missing].filter(({ field }) => GROUP_FIELDS.includes(field))
  const of = isOfTwo ? ` of the ${SOURCE_WORDS[source.which]}` : ''
  return (
    <Box
      lineHeight="1.9"
      marginBottom="8px"
      role="group"
      aria-label={`Asked of whoever took the sample${of}`}
    >
      <div>
        Was the sample{of} drawn at random?{' '}
        <InlineChoice
          label={`Drawn at random${of}`}
          value={draft.drawnAtRandom}
          words={RANDOM}
          onChange={(answer) => setField('drawnAtRandom', answer)}
        />
      </div>
      <div>
        Were the units taken one by one, or in groups (by pallet, batch, day, instrument)?{' '}
        <InlineChoice
          label={`One by one or in groups${of}`}
          value={draft.takenIndependently}
          words={INDEPENDENT}
          onChange={(answer) => setField('takenIndependently', answer)}
        />
      </div>
      {(draft.columns.length > 1 || draft.groupedBy !== 'none') && (
        <div>
          Which belong together?{' '}
          <AsSource source={source}>
            <GroupsFields />
          </AsSource>
          <ProblemLines problems={groupProblems} onWrite={setFields} />
        </div>
      )}
      {hasLot && (
        <div>
          How many units are in the lot{of}?{' '}
          <InlineText
            label={`Size of the lot${of}`}
            value={draft.lotSize}
            placeholder="not stated"
            inputMode="decimal"
            isInvalid={lotProblems.length > 0}
            onChange={(size) => setField('lotSize', size)}
          />
          <ProblemLines problems={lotProblems} onWrite={setFields} />
        </div>
      )}
    </Box>
  )
}
