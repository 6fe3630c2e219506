'use client'

import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import type { TestFigures } from '@/claims/result'
import { formatFull, formatFullPValue, formatPValue } from '@/words/figures'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { BalanceMark, MARK_COLOUR } from '@/ui/BalanceMark'
import { Figure } from '@/ui/figures/Figure'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

const Word = chakra('p', {
  base: { fontFamily: 'heading', fontSize: '24px', fontWeight: '600', lineHeight: '1.2' },
})

/** The mark of the finding, its word, and the p-value beside its level. */
export function OutcomeHeading() {
  const { checked, census, control, found, isStale } = useWorkbench()
  const mark = found?.result.finding.outcome ?? 'open'
  return (
    <Flex align="center" gap="16px" marginBottom={{ base: 0, md: '12px' }} data-testid="outcome">
      <BalanceMark mark={mark} height={52} />
      <div>
        <Word role="status" color={MARK_COLOUR[mark]}>
          {OUTCOME_WORDS[mark]}
          {mark !== 'open' && isStale && ', a moment ago'}
        </Word>
        {checked && <PValue test={checked.result.test} />}
        {census && <chakra.p color="quiet">by the whole lot, without a test</chakra.p>}
        {control && <chakra.p color="quiet">by the control plan, three criteria</chakra.p>}
      </div>
    </Flex>
  )
}

function PValue({ test }: Readonly<{ test: TestFigures }>) {
  const { pValue, significanceLevel, decision } = test
  return (
    <chakra.p color="quiet">
      p-value{' '}
      <Figure name="p-value" shown={formatPValue(pValue, significanceLevel)} full={formatFullPValue(test)} />,{' '}
      {decision === 'rejected' ? 'at most' : 'above'} {formatFull(significanceLevel)}
    </chakra.p>
  )
}
