'use client'

import { Box, chakra } from '@chakra-ui/react'
import { parameterOf } from '@/claims/all'
import type { PointHypothesis, RangeHypothesis } from '@/claims/terms/hypotheses'
import { hypothesisReason, hypothesisSymbols, kindOfTest } from '@/words/en/hypothesisWords'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

const Row = chakra('div', {
  base: { display: 'grid', gridTemplateColumns: '42px auto 1fr', gap: '10px', alignItems: 'baseline' },
})
const Symbols = chakra('span', { base: { fontFamily: 'heading', fontSize: '18px' } })
const Variable = chakra('i', { base: { fontFamily: 'KaTeX_Math, {fonts.heading}' } })

/** The hypotheses that follow from the claim's words, with the reason. They need no readings. */
export function HypothesesView() {
  const { hypotheses } = useWorkbench()
  if (!hypotheses) return null
  if (!hypotheses.ok) {
    return (
      <Box role="alert" color="finding.contradicted" marginTop="14px">
        {hypotheses.problem.message}
      </Box>
    )
  }
  const { value, claim } = hypotheses
  const claimNote = <Box color="quiet">the claim</Box>
  const kind = kindOfTest(value)
  return (
    <Box marginTop="14px" role="group" aria-label="Hypotheses">
      <Row>
        <Symbols>H₀</Symbols>
        <Hypothesis hypothesis={value.null} unit={claim.unit} />
        {value.claimIs === 'null' && claimNote}
      </Row>
      <Row>
        <Symbols>H₁</Symbols>
        <Hypothesis hypothesis={value.alternative} unit={claim.unit} />
        <Box color="quiet">{value.claimIs === 'alternative' ? `the claim, ${kind}` : kind}</Box>
      </Row>
      <Box color="quiet" marginTop="4px" maxWidth="64ch">
        {hypothesisReason(claim, value)}
      </Box>
    </Box>
  )
}

/** In symbols; the parameter's own stands as variables do. It is too simple to fetch a typesetter for. */
function Hypothesis({
  hypothesis,
  unit,
}: Readonly<{ hypothesis: PointHypothesis | RangeHypothesis; unit: string | undefined }>) {
  const text = hypothesisSymbols(hypothesis, unit)
  const symbol = parameterOf(hypothesis.parameter).symbol
  return (
    <Symbols role="math" aria-label={text}>
      {text
        .split(' ')
        .flatMap((part, at) => [
          at > 0 && ' ',
          part === symbol ? <Variable key={at}>{part}</Variable> : part,
        ])}
    </Symbols>
  )
}
