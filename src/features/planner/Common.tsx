'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import type { ReactNode } from 'react'
import type { PlanDraft } from '@/desk/planDraft'
import type { DecimalMark } from '@/desk/typed'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InlineText } from '@/ui/inline/InlineText'
import { ProblemLines } from '@/ui/ProblemLines'
import type { Planning } from '@/workers/planning'

const MARK_WORDS: Readonly<Record<DecimalMark, string>> = { point: 'decimal point', comma: 'decimal comma' }
const Line = chakra('p', { base: { lineHeight: '1.9' } })

/** The lot that is sampled, and what a unit costs. */
export function Common({
  draft,
  planning,
  onChange,
  children,
}: Readonly<{
  draft: PlanDraft
  planning: Planning
  onChange: (part: Partial<PlanDraft>) => void
  /** What follows of them. */
  children: ReactNode
}>) {
  const word = (field: 'lotSize' | 'layers' | 'unitCost' | 'budget', label: string, placeholder: string) => (
    <InlineText
      label={label}
      placeholder={placeholder}
      inputMode={field === 'layers' ? 'text' : 'decimal'}
      value={draft[field]}
      isInvalid={planning.common.problems.some((problem) => problem.field === field)}
      onChange={(text) => onChange({ [field]: text })}
    />
  )
  return (
    <Box as="section" aria-label="Lot and cost" borderTop="1px solid" borderColor="rule" paddingTop="12px">
      <Line>
        From a lot of {word('lotSize', 'Size of the lot', 'any number of')} units, drawn of{' '}
        {word('layers', 'Layers of the lot', 'the whole, or north = 400; south = 560')}; numbers with a{' '}
        <InlineChoice
          label="Decimal mark"
          value={draft.decimalMark}
          words={MARK_WORDS}
          onChange={(decimalMark) => onChange({ decimalMark })}
        />
        .
      </Line>
      <Line>
        A unit costs {word('unitCost', 'Cost of a unit', 'how much')} and{' '}
        {word('budget', 'Budget', 'how much')} can be spent.
      </Line>
      <ProblemLines problems={planning.common.problems} onWrite={onChange} />
      {children}
    </Box>
  )
}
