'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import type { CheckResult } from '@/claims/result'
import { methodOf } from '@/claims/all'
import { wayWords } from '@/words/en/waysWords'
import { useFormats } from './useFormats'

const List = chakra('ul', {
  base: {
    '& > li': {
      display: 'flex',
      justifyContent: 'space-between',
      gap: '12px',
      paddingBlock: '2px',
      alignItems: 'baseline',
    },
    '&[data-beside]': {
      display: 'grid',
      gridTemplateColumns: { base: '1fr', sm: 'repeat(3, 1fr)' },
      gap: '0 18px',
    },
    '&[data-beside] > li': { flexDirection: 'column', justifyContent: 'start', gap: '2px' },
  },
})
const Verdict = chakra('span', {
  base: {
    whiteSpace: 'nowrap',
    color: 'finding.undecided',
    '&[data-rejects=true]': { color: 'finding.contradicted' },
    '&[data-supports=true]': { color: 'finding.supported' },
  },
})

/**
 * The three ways to decide, and whether they agree.
 *
 * @param arrangement - under one another, or side by side
 */
export function Ways({
  result,
  arrangement = 'list',
}: Readonly<{ result: CheckResult; arrangement?: 'list' | 'beside' }>) {
  const formats = useFormats()
  const { hypotheses, test } = result
  const shown = { ...formats, statistic: methodOf(test.method).symbol }
  const isAgreed = new Set(test.ways.map(({ rejects }) => rejects)).size === 1
  const all = test.ways.length === 3 ? 'All three' : 'Both'
  return (
    <Box borderTop="1px solid" borderColor="rule" marginTop="10px" paddingTop="10px">
      <List
        aria-label={arrangement === 'list' ? 'Three ways to decide' : 'The ways side by side'}
        data-beside={arrangement === 'beside' ? '' : undefined}
      >
        {test.ways.map((way) => (
          <Way
            key={way.way}
            words={wayWords(way, hypotheses, shown)}
            rejects={way.rejects}
            supports={way.rejects && result.finding.outcome === 'supported'}
          />
        ))}
      </List>
      <Box color={isAgreed ? 'quiet' : 'finding.contradicted'} marginTop="4px">
        {isAgreed
          ? `${all} ways agree.`
          : 'The ways do not agree: the figures lie on the very edge of what a double can tell apart.'}
      </Box>
    </Box>
  )
}

function Way({ words, rejects, supports }: Readonly<{ words: string; rejects: boolean; supports: boolean }>) {
  return (
    <li>
      <span>{words}</span>
      <Verdict data-rejects={rejects} data-supports={supports}>
        {rejects ? 'rejects H₀' : 'does not reject'}
      </Verdict>
    </li>
  )
}
