'use client'

import { Box, chakra } from '@chakra-ui/react'
import { type Burden, defaultBurden, needsTolerance } from '@/claims/terms/relations'
import type { ClaimDraft } from '@/desk/claimDraft'
import { BURDEN_WORDS, RELATION_WORDS } from '@/words/en/relations'
import { PARAMETER_NOUNS, PARAMETER_WORDS } from '@/words/en/parameters'
import { unitOf } from '@/words/unitOf'
import { formatFull, withoutMadeUpDigits } from '@/words/figures'
import { parameterOf } from '@/claims/all'
import { hasUnit, isPerExposure } from '@/intake/readDraft'
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
  'exposureUnit',
  'toleranceBelow',
  'toleranceAbove',
  'wording',
] as const

/** Places where claims stand; any other can be typed. */
const SOURCES = ['label', 'advertisement', 'data sheet', 'contract', 'leaflet'].map((value) => ({ value }))
/** The claim as a sentence, whose underlined words are the controls. */
export function ClaimSentence() {
  const { draft, setField, setFields } = useWorkbench()
  const { parameter } = draft
  const words = PARAMETER_WORDS[parameter]
  return (
    <Box>
      <Sentence>
        The{' '}
        <InlineText
          label="Source of the claim"
          placeholder="source"
          suggestions={SOURCES}
          {...useField('source')}
        />{' '}
        says the{' '}
        <InlineChoice
          label="Parameter"
          value={parameter}
          words={PARAMETER_NOUNS}
          // The methods of one parameter are not those of another.
          onChange={(chosen) => setFields({ parameter: chosen, method: 'auto' })}
        />{' '}
        {words.link}
        <InlineText label="Quantity" placeholder={words.quantityHint} {...useField('quantity')} />
        {words.aside} is{' '}
        <InlineChoice
          label="Relation"
          value={draft.relation}
          words={RELATION_WORDS}
          onChange={(relation) => setField('relation', relation)}
        />{' '}
        {needsTolerance(draft) && <Tolerance />}
        <ClaimedValue />
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

/** A share is shown both ways; a variance has the unit squared, of which the unit itself is typed. */
function ClaimedValue() {
  const { draft, reading } = useWorkbench()
  const { parameter, unit, exposureUnit, claimedValue } = draft
  const value = useField('claimedValue')
  const valueUnit = unitOf({ parameter, unit, exposureUnit })
  const typedUnit = useField('unit')
  const typedExposure = useField('exposureUnit')
  const { scale } = parameterOf(parameter)
  const share = scale === 100 ? reading.claim?.value : undefined
  const isPercent = claimedValue.trim().endsWith('%')
  return (
    <Together>
      <InlineText
        label="Claimed value"
        placeholder={PARAMETER_WORDS[parameter].valueHint}
        inputMode="decimal"
        {...value}
      />
      {hasUnit(parameter) && (
        <>
          {' '}
          <InlineText label="Unit" placeholder="unit" {...typedUnit} />
        </>
      )}
      {isPerExposure(parameter) && (
        <>
          {' per '}
          <InlineText label="What the rate is per" placeholder="1,000 deliveries" {...typedExposure} />
        </>
      )}
      .
      {hasUnit(parameter) && unit !== '' && valueUnit !== unit && <Aside>The value is in {valueUnit}.</Aside>}
      {share !== undefined && (
        <Aside>
          That is {isPercent ? formatFull(share) : `${formatFull(withoutMadeUpDigits(share * 100))}\u202f%`}.
        </Aside>
      )}
    </Together>
  )
}

const AsideText = chakra('span', { base: { color: 'quiet', fontSize: '15px', fontFamily: 'body' } })

function Aside({ children }: Readonly<{ children: React.ReactNode }>) {
  return <AsideText> ({children})</AsideText>
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
