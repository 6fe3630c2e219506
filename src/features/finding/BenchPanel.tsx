'use client'

import { Box, chakra } from '@chakra-ui/react'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { NothingComputed } from '@/ui/workbench/NothingComputed'
import { ClaimLineFigure } from './ClaimLineFigure'
import { FindingSentence } from './FindingSentence'
import { KeyFigures } from './KeyFigures'
import { OutcomeHeading } from './OutcomeHeading'
import { Ways } from './Ways'

const Panel = chakra('aside', {
  base: {
    bg: 'surface',
    padding: { base: '8px 24px', md: '20px 26px 32px' },
    position: 'sticky',
    bottom: { base: 0, md: 'auto' },
    top: { base: 'auto', md: '46px' },
    height: { base: 'auto', md: 'calc(100vh - 46px)' },
    overflowY: 'auto',
    borderStyle: 'solid',
    borderColor: 'rule',
    borderWidth: { base: '1px 0 0', md: '0 0 0 1px' },
  },
})

/** The finding so far, always in view; on a narrow page only its mark and its word, in a bar at the bottom. */
export function BenchPanel() {
  const { answer } = useWorkbench()
  return (
    <Panel aria-label="Finding so far">
      <OutcomeHeading />
      <Box hideBelow="md">
        {answer?.ok ? <FindingSentence /> : <NothingComputed />}
        <ClaimLineFigure />
        {answer?.ok && (
          <>
            <KeyFigures result={answer} />
            <Ways result={answer} />
          </>
        )}
      </Box>
    </Panel>
  )
}
