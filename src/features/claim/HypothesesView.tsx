'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { parameterOf } from '@/claims/all'
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
  const kind = kindOfTest(value)
  return (
    <Box marginTop="14px" role="group" aria-label="Hypotheses">
      <Hypothesis
        name="H₀"
        text={hypothesisSymbols(value.null, claim.unit)}
        symbol={parameterOf(value.null.parameter).symbol}
        note={value.claimIs === 'null' ? 'the claim' : ''}
      />
      <Hypothesis
        name="H₁"
        text={hypothesisSymbols(value.alternative, claim.unit)}
        symbol={parameterOf(value.alternative.parameter).symbol}
        note={value.claimIs === 'alternative' ? `the claim, ${kind}` : kind}
      />
      <Box color="quiet" marginTop="4px" maxWidth="64ch">
        {hypothesisReason(claim, value)}
      </Box>
    </Box>
  )
}

/** In symbols; the parameter's own stands as variables do. It is too simple to fetch a typesetter for. */
function Hypothesis({
  name,
  text,
  symbol,
  note,
}: Readonly<{ name: string; text: string; symbol: string; note: string }>) {
  return (
    <Row>
      <Symbols>{name}</Symbols>
      <Symbols role="math" aria-label={text}>
        {text
          .split(' ')
          .flatMap((part, at) => [
            at > 0 && ' ',
            part === symbol ? <Variable key={at}>{part}</Variable> : part,
          ])}
      </Symbols>
      {note && <Box color="quiet">{note}</Box>}
    </Row>
  )
}
