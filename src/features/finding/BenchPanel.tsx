'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import type { ContentResult } from '@/claims/checkAnswer'
import { controlFigures } from '@/words/en/contentWords'
import { FigureTable } from '@/ui/figures/FigureTable'
import { AtOnce } from '@/ui/workbench/Computed'
import { useExamination } from '@/ui/workbench/ExaminationProvider'
import { UnreadQuestion } from '@/ui/workbench/UnreadQuestion'
import { useStanding } from '@/ui/workbench/useReadingName'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { Ways } from '@/ui/workbench/Ways'
import { Beside } from './Beside'
import { ClaimLineFigure } from './ClaimLineFigure'
import { EstimatedSoFar } from './EstimatedSoFar'
import { FindingSentence } from './FindingSentence'
import { KeyFigures } from './KeyFigures'
import { OutcomeHeading } from './OutcomeHeading'

const Panel = chakra('aside', {
  base: {
    bg: 'surface',
    padding: { base: '8px 24px', md: '20px 26px 32px' },
    position: 'sticky',
    bottom: { base: 0, md: 'auto' },
    // Below the header, which has a second row on narrower pages.
    top: { base: 'auto', md: '61px', lg: '46px' },
    height: { base: 'auto', md: 'calc(100vh - 61px)', lg: 'calc(100vh - 46px)' },
    overflowY: 'auto',
    borderStyle: 'solid',
    borderColor: 'rule',
    borderWidth: { base: '1px 0 0', md: '0 0 0 1px' },
  },
})

/** The finding so far, always in view; on a narrow page only its mark and its word, in a bar at the bottom. */
export function BenchPanel() {
  const { census, control, estimated } = useWorkbench()
  return (
    <Panel aria-label="Finding so far" tabIndex={0}>
      <OutcomeHeading />
      <Box hideBelow="md">
        {census ? (
          <p>{census.result.finding.sentence}</p>
        ) : control ? (
          <Controlled result={control.result} />
        ) : estimated ? (
          <EstimatedSoFar />
        ) : (
          <TestedSoFar />
        )}
        <Asked />
      </Box>
    </Panel>
  )
}

/** What a control comes to: its finding, its figures, and what has to be known of its plan. */
function Controlled({ result }: Readonly<{ result: ContentResult }>) {
  return (
    <>
      <p>{result.finding.sentence}</p>
      <Box marginTop="12px">
        <FigureTable
          label="Figures of the control"
          rows={controlFigures(result.content).map(([name, figure]) => ({ name, figure }))}
        />
      </Box>
      {result.warnings.map(({ code, message }) => (
        <Box as="p" key={code} color="warning" fontSize="14px" marginTop="8px">
          {message}
        </Box>
      ))}
    </>
  )
}

function TestedSoFar() {
  return (
    <AtOnce>
      {({ result }) => (
        <>
          <FindingSentence />
          <Beside result={result} />
          <ClaimLineFigure />
          <KeyFigures result={result} />
          <Ways result={result} />
          <Standing />
        </>
      )}
    </AtOnce>
  )
}

/** What keeps the finding open and can be answered with a click. */
function Asked() {
  const { first, second } = useWorkbench()
  const sources = second ? [first, second] : [first]
  return sources.map((source) => <UnreadQuestion key={source.which} source={source} />)
}

/** How the finding fares in the cross-examination. */
function Standing() {
  const { answers, isDone, isStopped } = useExamination()
  const words = useStanding(answers)
  return (
    <Box borderTop="1px solid" borderColor="rule" marginTop="10px" paddingTop="10px" color="quiet">
      {isDone ? words : isStopped ? 'Its cross-examination was stopped.' : 'Being cross-examined…'}
    </Box>
  )
}
