'use client'

import { Box } from '@chakra-ui/react/box'
import { methodOf, methodsFor, parameterOf } from '@/claims/all'
import { PLANNED_METHODS } from '@/claims/plan/planRequest'
import type { Method } from '@/claims/terms/names'
import { defaultBurden, needsTolerance } from '@/claims/terms/relations'
import type { PlanClaim, PlanWanted } from '@/desk/planDraft'
import type { DecimalMark } from '@/desk/typed'
import { hasUnit, isPerExposure } from '@/intake/draftUnits'
import { METHOD_WORDS } from '@/words/en/methods'
import { PARAMETER_NOUNS, PARAMETER_WORDS } from '@/words/en/parameters'
import { aGap, powerWords, typedGap } from '@/words/en/planWords'
import { BURDEN_WORDS, RELATION_WORDS } from '@/words/en/relations'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InlineText } from '@/ui/inline/InlineText'
import { Sentence, Together } from '@/ui/inline/Sentence'
import { ProblemLines, problemsId } from '@/ui/ProblemLines'
import type { Planned } from '@/workers/planning'

export type PlanChange = Partial<PlanClaim>

const FOUND_DIGITS = 4

type Parts = Readonly<{
  claim: PlanClaim
  planned: Planned
  wanted: PlanWanted
  decimalMark: DecimalMark
  /** Behind the name of each control, where there are several claims. */
  suffix: string
  onChange: (change: PlanChange) => void
}>

/** A claim that a sample is planned for, as a sentence whose underlined words are the controls. */
export function PlanSentence(parts: Parts) {
  const { claim, planned, onChange } = parts
  const { missing, problems } = planned.read
  return (
    <Box as="section" aria-label={`Claim${parts.suffix}`} marginBottom="18px">
      <Sentence as={parts.suffix === '' ? 'h1' : 'h2'} fontSize={parts.suffix === '' ? '26px' : '20px'}>
        <Claimed {...parts} />
        <Looked {...parts} />
      </Sentence>
      <Box color="quiet" marginTop="4px">
        The claim <Burden {...parts} /> · tested by <MethodOfPlan {...parts} />
        {claim.scatterFrom !== '' && ` · scatter as in ${claim.scatterFrom}`}
      </Box>
      <ProblemLines problems={problems} onWrite={onChange} />
      {missing.length > 0 && (
        <Box as="p" color="quiet" marginTop="6px">
          {missing.join(' ')}
        </Box>
      )}
      {planned.problem && (
        <Box role="alert" color="finding.contradicted" marginTop="6px">
          {planned.problem}
        </Box>
      )}
    </Box>
  )
}

type TextField = {
  [K in keyof PlanClaim]: PlanClaim[K] extends string ? (string extends PlanClaim[K] ? K : never) : never
}[keyof PlanClaim]

/** A text of the claim, typed in place. */
function Word({
  parts,
  field,
  label,
  placeholder,
  shown,
}: Readonly<{ parts: Parts; field: TextField; label: string; placeholder: string; shown?: string }>) {
  const { claim, planned, suffix, onChange } = parts
  const isInvalid = planned.read.problems.some((problem) => problem.field === field)
  return (
    <InlineText
      label={`${label}${suffix}`}
      value={shown ?? claim[field]}
      placeholder={placeholder}
      isInvalid={isInvalid}
      {...(isInvalid ? { describedBy: problemsId(field) } : {})}
      onChange={(text) => onChange({ [field]: text })}
    />
  )
}

function Claimed(parts: Parts) {
  const { claim, suffix, onChange } = parts
  const words = PARAMETER_WORDS[claim.parameter]
  const draft = { ...claim, limitSide: 'none' as const }
  return (
    <>
      The{' '}
      <InlineChoice
        label={`Parameter${suffix}`}
        value={claim.parameter}
        words={PARAMETER_NOUNS}
        // The methods of one parameter are not those of another.
        onChange={(parameter) => onChange({ parameter, method: 'auto' })}
      />{' '}
      {words.link}
      <Word parts={parts} field="quantity" label="Quantity" placeholder={words.quantityHint} />
      {words.aside} is claimed to be{' '}
      <InlineChoice
        label={`Relation${suffix}`}
        value={claim.relation}
        words={RELATION_WORDS}
        onChange={(relation) => onChange({ relation })}
      />{' '}
      {needsTolerance(claim) && (
        <>
          <Word parts={parts} field="toleranceBelow" label="Tolerance below" placeholder="how much" /> below
          and <Word parts={parts} field="toleranceAbove" label="Tolerance above" placeholder="how much" />{' '}
          above{' '}
        </>
      )}
      <Together>
        <Word parts={parts} field="claimedValue" label="Claimed value" placeholder={words.valueHint} />
        {hasUnit(draft) && (
          <>
            {' '}
            <Word parts={parts} field="unit" label="Unit" placeholder="unit" />
          </>
        )}
        {isPerExposure(draft) && (
          <>
            {' per '}
            <Word
              parts={parts}
              field="exposureUnit"
              label="What the rate is per"
              placeholder="1,000 deliveries"
            />
          </>
        )}
        .
      </Together>{' '}
    </>
  )
}

/** How far off the truth is that has to be found, how surely, and what is expected of the readings. */
function Looked(parts: Parts) {
  const { claim, planned, wanted, decimalMark } = parts
  const { found } = planned
  const { needsSpread } = parameterOf(claim.parameter).plan
  const gap = found ? aGap(found.hypotheses) : 'a gap'
  return (
    <>
      {gap.replace(/^a/, 'A')} of{' '}
      <Together>
        <Word
          parts={parts}
          field="gap"
          label="Gap"
          placeholder="how much"
          {...(wanted === 'gap'
            ? { shown: found ? typedGap(found.claim, found.gap, FOUND_DIGITS, decimalMark) : '' }
            : {})}
        />
        {hasUnit({ ...claim, limitSide: 'none' }) && claim.unit !== '' && ` ${claim.unit}`}
      </Together>{' '}
      {found?.hypotheses.alternativeSide === 'inside' ? 'must be shown to be inside' : 'must be found'} with a
      power of{' '}
      <Word
        parts={parts}
        field="power"
        label="Power"
        placeholder="power"
        {...(wanted === 'power' ? { shown: found ? powerWords(found.power) : '' } : {})}
      />
      {needsSpread && (
        <>
          , where readings scatter by{' '}
          <Together>
            <Word parts={parts} field="scatter" label="Scatter" placeholder="standard deviation" />
            {claim.unit !== '' && ` ${claim.unit}`}
          </Together>
        </>
      )}
      , at the level{' '}
      <Word parts={parts} field="significanceLevel" label="Significance level" placeholder="level" />.
    </>
  )
}

function Burden({ claim, suffix, onChange }: Parts) {
  return (
    <InlineChoice
      label={`Burden${suffix}`}
      value={claim.burden ?? defaultBurden(claim.relation)}
      words={BURDEN_WORDS}
      onChange={(burden) => onChange({ burden })}
    />
  )
}

function MethodOfPlan({ claim, planned, suffix, onChange }: Parts) {
  const used = planned.found?.method
  const own = methodsFor(claim.parameter).filter(
    (name) => PLANNED_METHODS.includes(name) && !methodOf(name).needs.includes('limit'),
  )
  const usual =
    claim.method === 'auto' && used ? `the usual test, the ${METHOD_WORDS[used].name}` : 'the usual test'
  const words = {
    auto: usual,
    ...Object.fromEntries(own.map((name) => [name, `the ${METHOD_WORDS[name].name}`])),
  }
  return (
    <InlineChoice
      label={`Method${suffix}`}
      value={claim.method}
      words={words as Record<'auto' | Method, string>}
      onChange={(method) => onChange({ method })}
    />
  )
}
