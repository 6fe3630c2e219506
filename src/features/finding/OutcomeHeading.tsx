'use client'

import { chakra, Flex } from '@chakra-ui/react'
import { formatFull, formatFullPValue, formatPValue } from '@/core/wording/figures'
import { OUTCOME_WORDS } from '@/core/wording/findingWords'
import { BalanceMark, MARK_COLOUR } from '@/ui/BalanceMark'
import { Figure } from '@/ui/figures/Figure'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

const Word = chakra('p', {
  base: { fontFamily: 'heading', fontSize: '24px', fontWeight: '600', lineHeight: '1.2' },
})

/** The mark of the finding, its word, and the p-value beside its level. */
export function OutcomeHeading() {
  const { answer } = useWorkbench()
  const mark = answer?.ok ? answer.finding.outcome : 'open'
  return (
    <Flex align="center" gap="16px" marginBottom={{ base: 0, md: '12px' }} data-testid="outcome">
      <BalanceMark mark={mark} height={52} />
      <div>
        <Word role="status" color={MARK_COLOUR[mark]}>
          {OUTCOME_WORDS[mark]}
        </Word>
        {answer?.ok && (
          <chakra.p color="quiet">
            p-value{' '}
            <Figure
              name="p-value"
              shown={formatPValue(answer.test.pValue, answer.test.significanceLevel)}
              full={formatFullPValue(answer.test)}
            />
            , {answer.test.decision === 'rejected' ? 'at most' : 'above'}{' '}
            {formatFull(answer.test.significanceLevel)}
          </chakra.p>
        )}
      </div>
    </Flex>
  )
}
