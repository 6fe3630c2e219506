'use client'

import { Box, chakra } from '@chakra-ui/react'
import { useRef } from 'react'
import type { DecimalMark } from '@/core/claim/draft'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { Section } from '@/ui/Section'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { ReadingsField } from './ReadingsField'
import { SheetFile } from './SheetFile'
import { UnreadList } from './UnreadList'

const MARK_WORDS: Readonly<Record<DecimalMark, string>> = { point: 'decimal point', comma: 'decimal comma' }
const Counted = chakra('p', { base: { marginBottom: '8px' } })

/** What was measured: typed or pasted, with everything that can't be read pointed at. */
export function EvidenceSection({ number }: Readonly<{ number: number }>) {
  const { draft, setField, reading } = useWorkbench()
  const field = useRef<HTMLTextAreaElement>(null)
  const { values, unread } = reading.readings
  return (
    <Section id="evidence" number={number} title="Evidence">
      <Counted aria-live="polite">
        {countOf(values.length)}
        {draft.unit && ` in ${draft.unit}`}, written with a{' '}
        <InlineChoice
          label="Decimal mark"
          value={draft.decimalMark}
          words={MARK_WORDS}
          onChange={(mark) => setField('decimalMark', mark)}
        />
        {unread.length > 0 && (
          <Box as="span" color="finding.contradicted">
            {' '}
            · {unread.length === 1 ? '1 entry is' : `${unread.length} entries are`} no number and not counted
          </Box>
        )}
      </Counted>
      <ReadingsField
        ref={field}
        value={draft.readings}
        onChange={(readings) => setField('readings', readings)}
        readings={reading.readings}
      />
      <UnreadList readings={reading.readings} decimalMark={draft.decimalMark} field={field} />
      <SheetFile />
    </Section>
  )
}

function countOf(count: number): string {
  if (count === 0) return 'No readings yet'
  return count === 1 ? '1 reading' : `${count} readings`
}
