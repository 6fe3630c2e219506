'use client'

import { parameterOf } from '@/claims/all'
import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import { formatPercent } from '@/words/figures'
import { InlineText } from '@/ui/inline/InlineText'
import { FieldProblems } from '@/ui/workbench/FieldProblems'
import { useField } from '@/ui/workbench/useField'
import { useFormats } from '@/ui/workbench/useFormats'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

const FIELDS = [
  'significanceLevel',
  'secondLevel',
  'confidenceLevel',
  'knownStandardDeviation',
  'decimals',
] as const
const Item = chakra('div', {
  base: { whiteSpace: 'nowrap', '& input, & span': { fontFamily: 'mono' }, '& > b': { fontWeight: '400' } },
})

/** The levels of the test and of the intervals, the standard deviation it takes, and the decimals that are shown. */
export function TestLevels() {
  const { draft, checked } = useWorkbench()
  const { display } = useFormats()
  const level = checked?.result.interval?.level
  return (
    <>
      <Flex wrap="wrap" gap="6px 20px" marginTop="14px" role="group" aria-label="Levels">
        <Item>
          <b>Significance level </b>
          <InlineText
            label="Significance level"
            placeholder="level"
            inputMode="decimal"
            {...useField('significanceLevel')}
          />
        </Item>
        <Item>
          <b>Beside it </b>
          <InlineText
            label="Second level"
            placeholder="none"
            inputMode="decimal"
            {...useField('secondLevel')}
          />
        </Item>
        <Item>
          <b>Confidence level </b>
          <InlineText
            label="Confidence level"
            placeholder={level === undefined ? 'automatic' : formatPercent(level)}
            inputMode="decimal"
            {...useField('confidenceLevel')}
          />
        </Item>
        {parameterOf(draft.parameter).takesKnownSpread && <KnownSpread />}
        <Item>
          <b>Decimals </b>
          <InlineText
            label="Decimals"
            placeholder={checked ? `${display.decimals}` : 'automatic'}
            inputMode="decimal"
            {...useField('decimals')}
          />
        </Item>
      </Flex>
      <FieldProblems fields={FIELDS} />
    </>
  )
}

function KnownSpread() {
  return (
    <Item>
      <b>Standard deviation </b>
      <InlineText
        label="Known standard deviation"
        placeholder="from the sample"
        inputMode="decimal"
        {...useField('knownStandardDeviation')}
      />
    </Item>
  )
}
