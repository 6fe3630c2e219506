'use client'

import { Box } from '@chakra-ui/react/box'
import { useState } from 'react'
import type { ClaimDraft } from '@/desk/claimDraft'
import { SPREADS } from '@/desk/sampleDraft'
import { formatNumber, withUnit } from '@/words/figures'
import { unitOf } from '@/words/unitOf'
import { readExposureUnit } from '@/intake/reading/exposure'
import { readNumber } from '@/intake/reading/number'
import { partsOfCount, readCount } from '@/intake/reading/count'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InlineText } from '@/ui/inline/InlineText'
import { useLabel, useSample } from '@/ui/sample/SampleProvider'

const SPREAD_WORDS = { 'standard-deviation': 'standard deviation', variance: 'variance' } as const
const SHOWN_DIGITS = 6

/** A sample of which only the figures are known: the spread as either, with the other one shown. */
export function SummaryFields({ unit }: Readonly<{ unit: string }>) {
  const { draft, setField } = useSample()
  const labelOf = useLabel()
  const field = (name: 'sampleSize' | 'mean' | 'spread', label: string, placeholder: string) => (
    <InlineText
      label={labelOf(label)}
      value={draft[name]}
      placeholder={placeholder}
      inputMode="decimal"
      onChange={(value) => setField(name, value)}
    />
  )
  return (
    <Box lineHeight="1.9">
      {field('sampleSize', 'Number of readings', 'number of')} readings with a mean of{' '}
      {field('mean', 'Mean of the sample', 'mean')} {unit} and a{' '}
      <InlineChoice
        label={labelOf('Kind of spread')}
        value={draft.spreadIs}
        words={Object.fromEntries(SPREADS.map((one) => [one, SPREAD_WORDS[one]])) as typeof SPREAD_WORDS}
        onChange={(spreadIs) => setField('spreadIs', spreadIs)}
      />{' '}
      of {field('spread', 'Spread of the sample', 'spread')}
      <OtherSpread unit={unit} />.
    </Box>
  )
}

function OtherSpread({ unit }: Readonly<{ unit: string }>) {
  const { draft } = useSample()
  const squared = unitOf({ parameter: 'variance', unit })
  const spread = readNumber(draft.spread, draft.decimalMark)
  if (!spread.ok || spread.value < 0) return draft.spreadIs === 'variance' ? <> {squared}</> : <> {unit}</>
  const isVariance = draft.spreadIs === 'variance'
  const other = isVariance ? Math.sqrt(spread.value) : spread.value ** 2
  const shown = withUnit(shortly(other), isVariance ? unit : squared)
  return (
    <>
      {' '}
      {isVariance ? squared : unit}
      <Box as="span" color="quiet">
        {' '}
        ({isVariance ? 'standard deviation' : 'variance'} {shown})
      </Box>
    </>
  )
}

/** So many digits that count, without those that say nothing. */
function shortly(value: number): string {
  const decimals = Math.max(0, SHOWN_DIGITS - 1 - Math.floor(Math.log10(Math.abs(value) || 1)))
  return formatNumber(Number(value.toPrecision(SHOWN_DIGITS)), Math.min(12, decimals))
    .replace(/(\.\d*?)0+$/, '$1')
    .replace(/\.$/, '')
}

/** Events and what they were counted over: "31 events in 12,400 deliveries". */
export function EventFields({ claim }: Readonly<{ claim: PerExposure | undefined }>) {
  const { draft, setField } = useSample()
  const label = useLabel()
  return (
    <Box lineHeight="1.9">
      <InlineText
        label={label('Events')}
        value={draft.events}
        placeholder="how many"
        inputMode="decimal"
        onChange={(value) => setField('events', value)}
      />{' '}
      events in <ExposureField claim={claim} />
    </Box>
  )
}

/** What a claim's rate is per, as it is typed. */
type PerExposure = Pick<ClaimDraft, 'exposureUnit' | 'decimalMark'>

/** An exposure in units of what the rate is per, and how many times that it comes to. */
export function ExposureField({ claim }: Readonly<{ claim: PerExposure | undefined }>) {
  const { draft, setField } = useSample()
  const label = useLabel()
  const unit = claim && readExposureUnit(claim.exposureUnit, claim.decimalMark)
  const typed = readNumber(draft.exposure, draft.decimalMark)
  return (
    <>
      <InlineText
        label={label('Exposure')}
        value={draft.exposure}
        placeholder="how many"
        inputMode="decimal"
        onChange={(value) => setField('exposure', value)}
      />{' '}
      {unit?.of ?? 'units of what the rate is per'}
      {unit && unit.amount !== 1 && typed.ok && (
        <Box as="span" color="quiet">
          {' '}
          ({shortly(typed.value / unit.amount)} times {claim.exposureUnit.trim()})
        </Box>
      )}
      .
    </>
  )
}

/** A count in two fields, how many and of how many; a whole count such as "216 of 1,200" may be put into the first. */
export function CountField() {
  const { draft, setField } = useSample()
  const label = useLabel()
  // While it is typed a count stays in the first field whole.
  const [typed, setTyped] = useState<string>()
  const count = draft.count.trim() === '' ? undefined : readCount(draft.count, draft.decimalMark)
  const [part, whole] = partsOfCount(draft.count)
  return (
    <Box lineHeight="1.9">
      <InlineText
        label={label('Count')}
        value={typed ?? part}
        placeholder="how many"
        isInvalid={count?.ok === false}
        onLeave={() => setTyped(undefined)}
        onChange={(value) => {
          setTyped(value)
          setField('count', isWhole(value) ? value : joined(value, whole))
        }}
      />{' '}
      of{' '}
      <InlineText
        label={label('Of how many')}
        value={typed !== undefined && isWhole(typed) ? '' : whole}
        placeholder="of how many"
        isInvalid={count?.ok === false}
        onChange={(value) => setField('count', joined(part, value))}
      />
      {count?.ok && (
        <Box as="span" color="quiet">
          {' '}
          {count.value.successes} of {count.value.n}, a share of{' '}
          {withUnit(shortly((100 * count.value.successes) / count.value.n), '%')}
        </Box>
      )}
      {count?.ok === false && (
        <Box role="alert" color="finding.contradicted">
          {count.problem.message}
        </Box>
      )}
    </Box>
  )
}

/** Whether a text says of how many, or is about to. */
const isWhole = (text: string) => /[a-z/]/i.test(text) || partsOfCount(text)[1] !== ''

const joined = (part: string, whole: string) => (whole.trim() === '' ? part : `${part} of ${whole}`)
