'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { type Burden, defaultBurden, needsTolerance } from '@/claims/terms/relations'
import { type ClaimDraft, isByReadings } from '@/desk/claimDraft'
import { BURDEN_WORDS, RELATION_WORDS } from '@/words/en/relations'
import { PARAMETER_WORDS } from '@/words/en/parameters'
import { LIMIT_SIDE_WORDS } from '@/words/en/claimWords'
import { unitOf } from '@/words/unitOf'
import { formatFull, withoutMadeUpDigits } from '@/words/figures'
import { parameterOf } from '@/claims/all'
import { hasUnit, isPerExposure } from '@/intake/draftUnits'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InlineText } from '@/ui/inline/InlineText'
import { Sentence, Together } from '@/ui/inline/Sentence'
import { FieldProblems } from '@/ui/workbench/FieldProblems'
import { useField } from '@/ui/workbench/useField'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { ParameterChoice, SourceText, WordingText } from './sentenceParts'

const FIELDS = [
  'source',
  'quantity',
  'claimedValue',
  'unit',
  'exposureUnit',
  'limitValue',
  'guardFactor',
  'toleranceBelow',
  'toleranceAbove',
  'wording',
] as const

/** The claim as a sentence, whose underlined words are the controls. */
export function ClaimSentence() {
  const { draft, setField } = useWorkbench()
  const { parameter } = draft
  const words = PARAMETER_WORDS[parameter]
  return (
    <Box>
      <Sentence>
        The <SourceText /> says the <ParameterChoice /> {words.link}
        <InlineText label="Quantity" placeholder={words.quantityHint} {...useField('quantity')} />
        {words.aside}
        {isByReadings(draft) && <LimitOfItems />} is{' '}
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
        In its own words: “<WordingText />” · the claim{' '}
        <BurdenChoice draft={draft} onChange={(burden) => setField('burden', burden)} />
        {parameterOf(parameter).sample === 'counted' && <CountedBy />}
      </Box>
      <FieldProblems fields={FIELDS} />
    </Box>
  )
}

/** What one item has to read to count: "with a reading of at least 15 kg". */
function LimitOfItems() {
  return (
    <>
      {' '}
      with a reading of <LimitSide />{' '}
      <Together>
        <InlineText
          label="Limit of an item"
          placeholder="limit"
          inputMode="decimal"
          {...useField('limitValue')}
        />{' '}
        <InlineText label="Unit" placeholder="unit" {...useField('unit')} />
      </Together>
    </>
  )
}

function LimitSide() {
  const { draft, setField } = useWorkbench()
  const side = draft.limitSide === 'none' ? 'at-least' : draft.limitSide
  return (
    <InlineChoice
      label="Side of the limit"
      value={side}
      words={LIMIT_SIDE_WORDS}
      onChange={(chosen) => setField('limitSide', chosen)}
    />
  )
}

const COUNTED_BY = { rows: 'whether each unit counts', readings: 'a limit to each reading' } as const

/** Whether units are known to count or not, or are told by their readings. */
function CountedBy() {
  const { draft, setFields } = useWorkbench()
  const isOfReadings = isByReadings(draft)
  return (
    <>
      {' · told by '}
      <InlineChoice
        label="What a share is told by"
        value={isOfReadings ? 'readings' : 'rows'}
        words={COUNTED_BY}
        // A method that needs readings is none of units that are only counted.
        onChange={(by) =>
          setFields({ limitSide: by === 'rows' ? 'none' : 'at-least', method: 'auto', interval: 'auto' })
        }
      />
      {isOfReadings && <GuardBand />}
    </>
  )
}

function GuardBand() {
  return (
    <>
      {', moved by '}
      <InlineText
        label="Guard band, in standard uncertainties of a reading"
        placeholder="no"
        inputMode="decimal"
        {...useField('guardFactor')}
      />{' '}
      × its uncertainty
    </>
  )
}

/** A share is shown both ways; a variance has the unit squared, of which the unit itself is typed. */
function ClaimedValue() {
  const { draft, reading } = useWorkbench()
  const { parameter, unit, exposureUnit, claimedValue } = draft
  const value = useField('claimedValue')
  const valueUnit = unitOf({ parameter, unit, exposureUnit })
  const typedUnit = useField('unit')
  const isOwnUnit = hasUnit(draft) && !isByReadings(draft)
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
      {isOwnUnit && (
        <>
          {' '}
          <InlineText label="Unit" placeholder="unit" {...typedUnit} />
        </>
      )}
      {isPerExposure(draft) && (
        <>
          {' per '}
          <InlineText label="What the rate is per" placeholder="1,000 deliveries" {...typedExposure} />
        </>
      )}
      .{isOwnUnit && unit !== '' && valueUnit !== unit && <Aside>The value is in {valueUnit}.</Aside>}
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
