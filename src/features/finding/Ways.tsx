'use client'

import { Box, chakra, Flex } from '@chakra-ui/react'
import type { CheckResult } from '@/core/check/result'
import { STATISTIC } from '@/core/wording/methodWords'
import { wayWords } from '@/core/wording/waysWords'
import { useFormats } from '@/ui/workbench/useFormats'

const Verdict = chakra('span', {
  base: {
    whiteSpace: 'nowrap',
    color: 'finding.undecided',
    '&[data-rejects=true]': { color: 'finding.contradicted' },
    '&[data-supports=true]': { color: 'finding.supported' },
  },
})

/** The three ways to decide, side by side, and whether they agree. */
export function Ways({ result }: Readonly<{ result: CheckResult }>) {
  const formats = useFormats()
  const { hypotheses, test } = result
  const shown = { ...formats, statistic: STATISTIC[test.method] }
  const isAgreed = new Set(test.ways.map(({ rejects }) => rejects)).size === 1
  return (
    <Box borderTop="1px solid" borderColor="rule" marginTop="10px" paddingTop="10px">
      <ul aria-label="Three ways to decide">
        {test.ways.map((way) => (
          <Flex as="li" key={way.way} justify="space-between" gap="12px" paddingBlock="2px" align="baseline">
            <span>{wayWords(way, hypotheses, shown)}</span>
            <Verdict
              data-rejects={way.rejects}
              data-supports={way.rejects && result.finding.outcome === 'supported'}
            >
              {way.rejects ? 'rejects H₀' : 'does not reject'}
            </Verdict>
          </Flex>
        ))}
      </ul>
      <Box color={isAgreed ? 'quiet' : 'finding.contradicted'} marginTop="4px">
        {isAgreed
          ? 'All three ways agree.'
          : 'The three ways do not agree: the figures lie on the very edge of what a double can tell apart.'}
      </Box>
    </Box>
  )
}
