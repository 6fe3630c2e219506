'use client'

import { Box } from '@chakra-ui/react/box'
import type { PlanDraft, PlanWanted } from '@/desk/planDraft'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InlineText } from '@/ui/inline/InlineText'

const WANTED = { units: 'how many units', power: 'the power', gap: 'the gap' } as const

/** Which of units, power and gap follows from the other two, and the units where they do not. */
export function Wanted({
  draft,
  units,
  onChange,
}: Readonly<{
  draft: PlanDraft
  /** As they were worked out. */
  units: number | undefined
  onChange: (part: Partial<PlanDraft>) => void
}>) {
  return (
    <Box>
      Work out{' '}
      <InlineChoice<PlanWanted>
        label="What is worked out"
        value={draft.wanted}
        words={WANTED}
        onChange={(wanted) => onChange({ wanted, units: draft.units || String(units ?? '') })}
      />
      {draft.wanted !== 'units' && (
        <>
          {' '}
          of{' '}
          <InlineText
            label="Units taken"
            placeholder="how many"
            inputMode="decimal"
            value={draft.units}
            onChange={(text) => onChange({ units: text })}
          />{' '}
          units
        </>
      )}
    </Box>
  )
}
