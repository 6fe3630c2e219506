'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import type { FindingOutcome } from '@/claims/finding'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { BalanceMark, colouredBy } from './BalanceMark'

const Line = chakra('div', {
  base: {
    display: 'flex',
    alignItems: 'center',
    gap: '12px',
    paddingBlock: '2px',
    '& > div': { minWidth: 0, flex: 1 },
    '& > span': { fontWeight: 600, whiteSpace: 'nowrap' },
    ...colouredBy(' > span'),
  },
})

/** A claim in a line, with the mark of its finding and the word for it. */
export function ClaimMark({
  title,
  outcome,
  isComputing,
}: Readonly<{ title: string; outcome: FindingOutcome | null; isComputing: boolean }>) {
  const mark = outcome ?? 'open'
  return (
    <Line data-mark={mark}>
      <BalanceMark mark={mark} height={18} />
      <div>{title}</div>
      <span>{isComputing ? 'Being computed' : OUTCOME_WORDS[mark]}</span>
    </Line>
  )
}
