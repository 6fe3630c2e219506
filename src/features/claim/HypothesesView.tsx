'use client'

import { Box, chakra } from '@chakra-ui/react'
import { hypothesisLatex, hypothesisReason, hypothesisSymbols, kindOfTest } from '@/words/en/hypothesisWords'
import { Latex } from '@/ui/Latex'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

const Row = chakra('div', {
  base: { display: 'grid', gridTemplateColumns: '42px auto 1fr', gap: '10px', alignItems: 'baseline' },
})
const Symbols = chakra('span', { base: { fontFamily: 'heading', fontSize: '18px' } })

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
        <Symbols>
          <Latex
            latex={hypothesisLatex(value.null, claim.unit)}
            text={hypothesisSymbols(value.null, claim.unit)}
          />
        </Symbols>
        {value.claimIs === 'null' && claimNote}
      </Row>
      <Row>
        <Symbols>H₁</Symbols>
        <Symbols>
          <Latex
            latex={hypothesisLatex(value.alternative, claim.unit)}
            text={hypothesisSymbols(value.alternative, claim.unit)}
          />
        </Symbols>
        <Box color="quiet">{value.claimIs === 'alternative' ? `the claim, ${kind}` : kind}</Box>
      </Row>
      <Box color="quiet" marginTop="4px" maxWidth="64ch">
        {hypothesisReason(claim, value)}
      </Box>
    </Box>
  )
}
