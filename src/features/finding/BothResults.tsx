'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import { useMemo } from 'react'
import type { CheckDocument, Evidence } from '@/claims/terms/request'
import { isTested } from '@/claims/checkAnswer'
import { type CheckResult } from '@/claims/result'
import { withEverything } from '@/claims/crossexamination/lists'
import { intervalWords } from '@/words/en/claimLineWords'
import { formatCount, formatFullPValue, formatPValue } from '@/words/figures'
import { noTestWords } from '@/words/en/censusWords'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { Figure } from '@/ui/figures/Figure'
import { useAnswer } from '@/ui/workbench/useAnswer'
import { useFormats } from '@/ui/workbench/useFormats'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

const Table = chakra('table', { base: { borderCollapse: 'collapse', marginTop: '12px' } })
const Head = chakra('th', {
  base: { textAlign: 'left', fontWeight: '400', color: 'quiet', padding: '2px 18px 2px 0' },
})
const Cell = chakra('td', { base: { padding: '2px 18px 2px 0', fontFamily: 'mono' } })

/** Where readings are set aside: the results without them and with them, side by side. */
export function BothResults() {
  const { checked, evidence } = useWorkbench()
  const { withSetAside } = evidence
  const whole = useMemo(() => checked && wholeOf(checked.document, withSetAside), [checked, withSetAside])
  const { answered, isStale } = useAnswer(whole)
  if (!checked || !whole) return null
  const other = isStale ? undefined : answered?.answer
  return (
    <Table aria-label="Both results">
      <thead>
        <tr>
          <Head scope="col">Both results</Head>
          <Head scope="col">Finding</Head>
          <Head scope="col">Tested</Head>
          <Head scope="col">Estimate</Head>
          <Head scope="col">p-value</Head>
          <Head scope="col">Interval</Head>
        </tr>
      </thead>
      <tbody>
        <ResultRow name="Without what is set aside" result={checked.result} />
        {other && isTested(other) ? (
          <ResultRow name="With everything" result={other} />
        ) : (
          <tr>
            <Head scope="row">With everything</Head>
            <Cell colSpan={5}>
              <Box color="quiet">{other ? noTestWords(other) : 'Computing…'}</Box>
            </Cell>
          </tr>
        )}
      </tbody>
    </Table>
  )
}

function ResultRow({ name, result }: Readonly<{ name: string; result: CheckResult }>) {
  const { display, inUnit, inFull } = useFormats()
  const { finding, sample, estimate, test, interval } = result
  return (
    <tr>
      <Head scope="row">{name}</Head>
      <Cell>{OUTCOME_WORDS[finding.outcome]}</Cell>
      <Cell>{formatCount(sample.n)}</Cell>
      <Cell>
        <Figure name="Estimate" shown={inUnit(estimate.value)} full={inFull(estimate.value)} />
      </Cell>
      <Cell>
        <Figure
          name="p-value"
          shown={formatPValue(test.pValue, test.significanceLevel)}
          full={formatFullPValue(test)}
        />
      </Cell>
      <Cell>{interval && intervalWords(interval, display).replace(' interval', '')}</Cell>
    </tr>
  )
}

/** The same check with everything put back; nothing where nothing is set aside. */
function wholeOf(document: CheckDocument, withSetAside: Evidence | undefined): CheckDocument | undefined {
  const evidence = withSetAside ?? withEverything(document.evidence)
  return evidence && { ...document, evidence }
}
