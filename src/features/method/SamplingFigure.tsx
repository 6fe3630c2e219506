'use client'

import { Box } from '@chakra-ui/react/box'
import { useMemo } from 'react'
import type { CheckResult } from '@/claims/result'
import { samplingPicture } from '@/pictures/samplingPicture'
import { formatPValue } from '@/words/figures'
import { methodOf } from '@/claims/all'
import { partsOf } from '@/claims/testParts'
import { samplingWords } from '@/words/en/samplingWords'
import { type SamplingLabels, SamplingChart } from '@/ui/charts/SamplingChart'
import { InlineChoice } from '@/ui/inline/InlineChoice'
import { useFormats } from '@/ui/workbench/useFormats'
import { useView } from '@/ui/workbench/useView'

const LIMITS = { lower: 'the lower limit', upper: 'the upper limit' } as const

/** The sampling distribution of the test; of a tolerance, of the test of either limit. */
export function SamplingFigure({ result }: Readonly<{ result: CheckResult }>) {
  const { display, plainDecimals, inUnit, plain } = useFormats()
  const [limit, setLimit] = useView('limit', ['lower', 'upper'])
  const parts = partsOf(result.test)
  const isRange = parts.length === 2
  const place = isRange && limit === 'upper' ? 1 : 0
  const picture = useMemo(() => samplingPicture(result, place), [result, place])
  const { symbol: letter, statistic, work } = methodOf(result.test.method)
  const isCount = statistic === 'count'
  const shown = (value: number) => (isCount && Number.isInteger(value) ? String(value) : plain(value))
  const labels: SamplingLabels = {
    statistic: `${letter} = ${picture ? shown(picture.statistic) : ''}`,
    critical: (value) => `critical ${shown(value)}`,
    estimate: (value) => (picture?.estimateAt ? inUnit(picture.estimateAt(value)) : ''),
  }
  if (!picture)
    return (
      <Box color="quiet" marginBottom="10px">
        This test has no distribution that could be drawn.
      </Box>
    )
  return (
    <figure>
      {isRange && (
        <p>
          The test of <InlineChoice label="Limit shown" value={limit} words={LIMITS} onChange={setLimit} />
        </p>
      )}
      <SamplingChart
        key={`${display.scale} ${display.decimals} ${plainDecimals}`}
        picture={picture}
        labels={labels}
        description={samplingWords({
          picture,
          letter,
          plain: shown,
          inUnit,
          pValue: formatPValue(parts[place]?.pValue, result.test.significanceLevel),
        })}
      />
      {work.isResampled && (
        <figcaption>
          How many resamples come to each estimate, were the claimed value true; the p-value of a median or a
          spread is corrected for their bias.
        </figcaption>
      )}
    </figure>
  )
}
