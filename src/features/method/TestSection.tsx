'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { methodOf } from '@/claims/all'
import { partsOf } from '@/claims/testParts'
import { isControlled } from '@/desk/claimDraft'
import { addressOfPlan, planDraftFor } from '@/desk/planDraft'
import { addressOfReckoning, reckonDraftFor } from '@/desk/reckonDraft'
import { distributionWords, METHOD_WORDS } from '@/words/en/methods'
import { LEVEL_HEADS, levelTable, LEVELS_NOTE } from '@/words/en/levelTable'
import { testLines } from '@/words/en/testLines'
import { DataTable } from '@/ui/figures/DataTable'
import { FigureLines } from '@/ui/figures/FigureLines'
import { TextLink } from '@/ui/TextLink'
import { Section } from '@/ui/Section'
import { Computed } from '@/ui/workbench/Computed'
import { useFormats } from '@/ui/workbench/useFormats'
import { type Checked, useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { Ways } from '@/ui/workbench/Ways'
import { Criteria } from './Criteria'
import { MethodChoice } from './MethodChoice'
import { SamplingFigure } from './SamplingFigure'
import { Working } from './Working'

const Formula = chakra('p', { base: { fontFamily: 'heading', fontSize: '18px', marginBlock: '8px 12px' } })

/** The method, why it is the one, every figure that it gives, and how each was reached. */
export function TestSection({ number }: Readonly<{ number: number }>) {
  const { draft } = useWorkbench()
  return (
    <Section id="test" number={number} title="Test">
      {isControlled(draft) ? (
        <Criteria />
      ) : (
        <>
          <MethodChoice />
          <Computed>{(checked) => <TestFigures {...checked} />}</Computed>
        </>
      )}
    </Section>
  )
}

function TestFigures({ result }: Checked) {
  const formats = useFormats()
  const { test, working } = result
  return (
    <>
      <p>{METHOD_WORDS[test.method].reason}</p>
      <Formula>
        {methodOf(test.method).formula}, {distributionWords(test)}
      </Formula>
      <SamplingFigure result={result} />
      <LookedUp result={result} />
      <FigureLines label="Figures of the test" lines={testLines(result, formats)} />
      <Levels rows={levelTable(result, formats)} />
      <Ways result={result} arrangement="beside" />
      <Working steps={working} />
    </>
  )
}

function Levels({ rows }: Readonly<{ rows: readonly (readonly string[])[] }>) {
  if (rows.length === 0) return null
  return (
    <Box marginBlock="12px">
      <DataTable label="Two levels side by side" heads={LEVEL_HEADS} rows={rows} />
      <p>{LEVELS_NOTE}</p>
    </Box>
  )
}

/** Another sample for the claim, with the scatter that this one has. */
function PlanAnother() {
  const { draft, first, checked } = useWorkbench()
  const { name } = first.sample.draft
  const standardDeviation = checked && measuredSpread(checked.result)
  const plan = planDraftFor(draft, {
    name: name || (first.sample.file?.fileName ?? 'an earlier sample'),
    standardDeviation,
  })
  return (
    <TextLink href={addressOfPlan(plan)} target="_blank" textDecoration="underline">
      Plan another sample for this claim
    </TextLink>
  )
}

/** Of readings; nothing of a count, or of two sources. */
function measuredSpread({ sample }: Checked['result']): number | undefined {
  return 'standardDeviation' in sample ? sample.standardDeviation : undefined
}

/** The test's own distribution, to be looked at beside it. */
function LookedUp({ result: { test, hypotheses } }: Pick<Checked, 'result'>) {
  const [part] = partsOf(test)
  const draft =
    part?.distribution &&
    reckonDraftFor(part.distribution, { statistic: part.statistic, alternative: hypotheses.alternativeSide })
  return (
    <Box marginBottom="10px">
      {draft && (
        <>
          <TextLink href={addressOfReckoning(draft)} target="_blank" textDecoration="underline">
            Look it up in the reckoner
          </TextLink>
          {' · '}
        </>
      )}
      <PlanAnother />
    </Box>
  )
}
