'use client'

import { Box, chakra } from '@chakra-ui/react'
import { type Burden, defaultBurden } from '@/core/claim/claim'
import type { ClaimDraft } from '@/core/claim/draft'
import { BURDEN_WORDS, RELATION_WORDS } from '@/core/wording/claimWords'
import { needsTolerance } from '@/intake/readDraft'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InlineText } from '@/ui/inline/InlineText'
import { FieldProblems } from '@/ui/workbench/FieldProblems'
import { useField } from '@/ui/workbench/useField'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

const Sentence = chakra('h1', {
  base: { fontFamily: 'heading', fontSize: '26px', fontWeight: '400', lineHeight: '1.45' },
})

/** A value and its unit stay on one line. */
const Together = chakra('span', { base: { whiteSpace: 'nowrap' } })

const FIELDS = [
  'source',
  'quantity',
  'claimedValue',
  'unit',
  'toleranceBelow',
  'toleranceAbove',
  'wording',
] as const

/** The claim as a sentence, whose underlined words are the controls. */
export function ClaimSentence() {
  const { draft, setField } = useWorkbench()
  return (
    <Box>
      <Sentence>
        The <InlineText label="Source of the claim" placeholder="source" {...useField('source')} /> says the
        mean <InlineText label="Quantity" placeholder="quantity" {...useField('quantity')} /> is{' '}
        <InlineChoice
          label="Relation"
          value={draft.relation}
          words={RELATION_WORDS}
          onChange={(relation) => setField('relation', relation)}
        />{' '}
        {needsTolerance(draft) && <Tolerance />}
        <Together>
          <InlineText
            label="Claimed value"
            placeholder="value"
            inputMode="decimal"
            {...useField('claimedValue')}
          />{' '}
          <InlineText label="Unit" placeholder="unit" {...useField('unit')} />.
        </Together>
      </Sentence>
      <Box color="quiet" marginTop="4px">
        In its own words: “
        <InlineText
          label="Wording of the claim"
          placeholder="the claim, word for word"
          {...useField('wording')}
        />
        ” · the claim <BurdenChoice draft={draft} onChange={(burden) => setField('burden', burden)} />
      </Box>
      <FieldProblems fields={FIELDS} />
    </Box>
  )
}

function Tolerance() {
  return (
    <>
      <InlineText
        label="Tolerance below"
        placeholder="how much"
        inputMode="decimal"
        {...useField('toleranceBelow')}
      />{' '}
      below and{' '}
      <InlineText
        label="Tolerance above"
        placeholder="how much"
        inputMode="decimal"
        {...useField('toleranceAbove')}
      />{' '}
      above{' '}
    </>
  )
}

function BurdenChoice({
  draft,
  onChange,
}: Readonly<{ draft: ClaimDraft; onChange: (burden: Burden | null) => void }>) {
  const usual = defaultBurden(draft.relation)
  return (
    <InlineChoice
      label="Burden"
      value={draft.burden ?? usual}
      words={BURDEN_WORDS}
      // The usual burden follows the relation when that changes; another one stays as chosen.
      onChange={(burden) => onChange(burden === usual ? null : burden)}
    />
  )
}
