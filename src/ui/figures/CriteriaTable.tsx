'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import type { ContentFigures } from '@/claims/terms/contentResult'
import { CRITERIA_HEADS, CRITERION_STATES, criterionLines, type PackNames } from '@/words/en/contentWords'
import { DataTable } from './DataTable'

const Mark = chakra('span', {
  base: {
    fontWeight: '600',
    whiteSpace: 'nowrap',
    color: 'quiet',
    '&[data-state=met]': { color: 'finding.supported' },
    '&[data-state=not-met]': { color: 'finding.contradicted' },
  },
})

/** The three criteria of a control side by side, each with its figures and its mark. */
export function CriteriaTable({
  content,
  nameOf,
}: Readonly<{ content: ContentFigures; nameOf?: PackNames }>) {
  return (
    <DataTable
      label="Criteria"
      heads={CRITERIA_HEADS}
      rows={criterionLines(content, nameOf).map(({ asks, seen, limit, state }) => [
        asks,
        seen,
        limit,
        <Mark key="mark" data-state={state}>
          {CRITERION_STATES[state]}
        </Mark>,
      ])}
    />
  )
}
