'use client'

import { Box } from '@chakra-ui/react/box'
import { R87 } from '@/claims/terms/controlPlan'
import type { ClaimDraft } from '@/desk/claimDraft'
import type { RegisteredPlan } from '@/desk/controlPlan'
import { contentUnitOf, weighedIn } from '@/intake/sides'
import { isVolume } from '@/claims/terms/contentUnits'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { InlineText } from '@/ui/inline/InlineText'
import { Sentence, Together } from '@/ui/inline/Sentence'
import { useSample } from '@/ui/sample/SampleProvider'
import { TextLink } from '@/ui/TextLink'
import { FieldProblems } from '@/ui/workbench/FieldProblems'
import { useField } from '@/ui/workbench/useField'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { ParameterChoice, SourceText, WordingText } from './sentenceParts'

const FIELDS = [
  'source',
  'quantity',
  'claimedValue',
  'unit',
  'tare',
  'density',
  'secondColumn',
  'wording',
] as const

/** A control of net content as a sentence: what the label says, by which plan, and how the content of a pack is known. */
export function ControlSentence({ plans }: Readonly<{ plans: readonly RegisteredPlan[] }>) {
  return (
    <Box>
      <Sentence>
        The <SourceText /> says the <ParameterChoice /> of{' '}
        <InlineText label="Quantity" placeholder="a sack of pellets" {...useField('quantity')} /> is{' '}
        <Together>
          <InlineText
            label="Net content"
            placeholder="15"
            inputMode="decimal"
            {...useField('claimedValue')}
          />{' '}
          <InlineText label="Unit" placeholder="kg" {...useField('unit')} />
        </Together>
        .
      </Sentence>
      <Box color="quiet" marginTop="4px" lineHeight="1.7">
        In its own words: “<WordingText />” · by the control plan <PlanChoice plans={plans} /> (
        <TextLink href="/plans" color="accent" textDecoration="underline">
          control plans
        </TextLink>
        ) · content = <HowMeasured />
      </Box>
      <FieldProblems fields={FIELDS} />
    </Box>
  )
}

const SHIPPED = 'shipped'

/** The plan as it stands in the register when it is chosen; one that was changed there since stays as it was. */
function PlanChoice({ plans }: Readonly<{ plans: readonly RegisteredPlan[] }>) {
  const { draft, setField } = useWorkbench()
  const own = draft.controlPlan
  const offered = plans.filter(({ isRetired }) => !isRetired)
  const known = offered.find(({ plan }) => own !== null && isSame(plan, own))
  const value = own === null ? SHIPPED : (known?.id ?? 'own')
  return (
    <InlineChoice
      label="Control plan"
      value={value}
      words={{
        [SHIPPED]: R87.name,
        ...(value === 'own' ? { own: `${own!.name}, as it was chosen` } : {}),
        ...Object.fromEntries(offered.map(({ id, plan }) => [id, plan.name])),
      }}
      onChange={(id) =>
        setField('controlPlan', id === SHIPPED ? null : (offered.find((one) => one.id === id)?.plan ?? own))
      }
    />
  )
}

const isSame = (one: object, other: object) => JSON.stringify(one) === JSON.stringify(other)

const TARE_WORDS: Readonly<Record<ClaimDraft['tareBy'], string>> = {
  none: 'as it was measured',
  stated: 'gross − a tare of',
  column: 'gross − the tare in',
  packs: 'gross − the mean of empty packs',
}

function HowMeasured() {
  const { draft, setField } = useWorkbench()
  const unit = contentUnitOf(draft)
  return (
    <>
      <InlineChoice
        label="How the content is known"
        value={draft.tareBy}
        words={TARE_WORDS}
        onChange={(tareBy) => setField('tareBy', tareBy)}
      />{' '}
      {draft.tareBy === 'stated' && <StatedTare />}
      {draft.tareBy === 'column' && <TareColumn />}
      {unit && isVolume(unit) && <ByDensity />}
    </>
  )
}

function StatedTare() {
  const { draft } = useWorkbench()
  return (
    <>
      <InlineText label="Tare" placeholder="0.082" inputMode="decimal" {...useField('tare')} />{' '}
      {weighedIn(draft) ?? contentUnitOf(draft)}
    </>
  )
}

function ByDensity() {
  return (
    <Together>
      , by a density of{' '}
      <InlineText label="Density" placeholder="no" inputMode="decimal" {...useField('density')} /> g/mL
    </Together>
  )
}

/** The column of the same sample that holds the package of each pack. */
function TareColumn() {
  const { draft, setField } = useWorkbench()
  const { draft: sample } = useSample()
  const { secondColumn } = draft
  return (
    <InlineChoice
      label="Column of the tare"
      value={secondColumn}
      words={Object.fromEntries([
        [secondColumn, secondColumn === '' ? 'a column to be chosen' : secondColumn],
        ...sample.columns.filter(({ kind }) => kind === 'number').map(({ name }) => [name, name]),
      ])}
      onChange={(column) => setField('secondColumn', column)}
    />
  )
}
