'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import type { SampleDraft } from '@/desk/sampleDraft'
import { InlineChoice } from '../inline/InlineChoice'
import { InlineText } from '../inline/InlineText'
import { useLabel, useSample } from './SampleProvider'

const GROUPED: Readonly<Record<SampleDraft['groupedBy'], string>> = {
  none: 'no column says which belong together',
  clusters: 'several of each pallet, batch or day that was drawn',
  strata: 'some of each layer of the lot, of known size',
}
const Lines = chakra('textarea', {
  base: {
    display: 'block',
    width: '280px',
    maxWidth: '100%',
    border: '1px solid',
    borderColor: 'edge',
    bg: 'surface',
    padding: '4px 8px',
    fontFamily: 'mono',
    fontSize: '13px',
  },
})

/** Which readings belong together: by what was drawn, or by the layers of the lot, each named in a column. */
export function GroupsFields() {
  const { draft, setField, setFields } = useSample()
  const label = useLabel()
  const { groupedBy, groupColumn, columns } = draft
  const words = Object.fromEntries([
    [groupColumn, groupColumn === '' ? 'a column to be chosen' : groupColumn],
    ...columns.map(({ name }) => [name, name]),
  ])
  return (
    <>
      <InlineChoice
        label={label('Which readings belong together')}
        value={groupedBy}
        words={GROUPED}
        onChange={(chosen) =>
          // What is in groups was not taken one by one; of layers it is asked as before.
          setFields({
            groupedBy: chosen,
            ...(chosen === 'clusters' ? { takenIndependently: 'not-independent' } : {}),
          })
        }
      />
      {groupedBy !== 'none' && (
        <>
          {', named in '}
          <InlineChoice
            label={label('Column of the groups')}
            value={groupColumn}
            words={words}
            onChange={(column) => setField('groupColumn', column)}
          />
        </>
      )}
      {groupedBy === 'clusters' && (
        <>
          {', of '}
          <InlineText
            label={label('Clusters in the lot')}
            value={draft.clustersInLot}
            placeholder="not stated how many"
            inputMode="decimal"
            onChange={(count) => setField('clustersInLot', count)}
          />{' '}
          in the lot (state it only where all of each was measured)
        </>
      )}
      {groupedBy === 'strata' && (
        <Box marginTop="4px">
          Units of the lot in each layer, one a line:
          <Lines
            aria-label={label('Sizes of the layers')}
            rows={4}
            placeholder={'north = 400\nsouth = 250'}
            value={draft.strataSizes}
            onChange={(event) => setField('strataSizes', event.target.value)}
          />
        </Box>
      )}
    </>
  )
}
