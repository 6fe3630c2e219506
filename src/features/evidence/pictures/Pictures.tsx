'use client'

import { Box, chakra, Grid } from '@chakra-ui/react'
import { useDeferredValue, useMemo, useState } from 'react'
import { decimalsFor, formatCount, formatNumber, formatReading, withUnit } from '@/words/figures'
import type { EvidenceReading } from '@/intake/readEvidence'
import { boxPicture, drawnOf, histogramPicture, orderPicture, quantilePicture } from '@/pictures/readings'
import { ReadingsChart } from '@/ui/charts/ReadingsChart'
import { pointed } from '@/ui/sample/pointed'
import { rowWords } from '@/ui/sample/rowWords'
import { useLabel } from '@/ui/sample/SampleProvider'
import { useLook } from '@/ui/sample/useLook'
import { useViewNumber } from '@/ui/workbench/useView'
import { RowToolbar } from '../sheet/RowToolbar'
import { ANY_WIDTH, BinWidth, widthText, within } from './BinWidth'
import { BeyondFences } from './BeyondFences'
import { PictureFigures } from './PictureFigures'

const Caption = chakra('figcaption', { base: { color: 'quiet', fontSize: '13px' } })

/** What the readings look like: four pictures, their figures, and those that stand apart. */
export function Pictures({ evidence, unit }: Readonly<{ evidence: EvidenceReading; unit: string }>) {
  const label = useLabel()
  const shown = useDeferredValue(evidence)
  const [stated, setStated] = useViewNumber(label('bins').replaceAll(' ', '-'), ANY_WIDTH)
  const [chosen, setChosen] = useState<number>()
  const drawn = useMemo(() => drawnOf(shown, unit), [shown, unit])
  const look = useLook(drawn.values)
  const usual = look?.figures.binWidth ?? 1
  const width = stated === ANY_WIDTH.usual || !look ? usual : within(stated, look.figures)
  const words = useMemo(() => rowWords(drawn), [drawn])
  const charts = useMemo(() => look && chartsOf(drawn, look), [drawn, look])
  const histogram = useMemo(() => look && histogramPicture(drawn, look.sorted, width), [drawn, look, width])
  if (!look || !charts || !histogram) return null

  const { figures } = look
  const decimals = decimalsFor(figures.standardError ?? 0)
  const inUnit = (value: number) => withUnit(formatNumber(value, decimals), unit)
  const { min, max, median, quartiles } = figures
  const described = `${formatCount(drawn.values.length)} readings from ${inUnit(min)} to ${inUnit(max)}, median ${inUnit(median)}, quartiles ${inUnit(quartiles[0])} and ${inUnit(quartiles[1])}`
  const chart = { words, pointing: pointed, onChoose: setChosen }
  const reading = chosen === undefined ? undefined : drawn.valueOf(chosen)
  return (
    <Box marginTop="14px" aria-label="What the readings look like" role="group">
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', sm: 'repeat(2, minmax(0, 1fr))' }} gap="14px 22px">
        <figure>
          <ReadingsChart
            {...chart}
            name={label('histogram')}
            picture={histogram}
            description={`Histogram of ${described}, in ${histogram.bars.length} bins of ${withUnit(widthText(width), unit)}.`}
          />
          <Caption>
            <BinWidth width={width} usual={usual} unit={unit} onChange={setStated} />
          </Caption>
        </figure>
        {charts.map(({ name, picture, describe, caption }) => (
          <figure key={name}>
            <ReadingsChart
              {...chart}
              name={label(name)}
              picture={picture}
              description={describe(described, inUnit)}
            />
            <Caption>{caption}</Caption>
          </figure>
        ))}
      </Grid>
      <PictureFigures figures={figures} inUnit={inUnit} />
      <BeyondFences drawn={drawn} figures={figures} inUnit={inUnit} onChoose={setChosen} />
      {chosen !== undefined && (
        <RowToolbar
          key={chosen}
          row={chosen}
          shown={reading === undefined ? '' : withUnit(formatReading(reading), unit)}
        />
      )}
    </Box>
  )
}

type InUnit = (value: number) => string

/** The pictures beside the histogram, each with what is said of it. */
function chartsOf(drawn: Parameters<typeof boxPicture>[0], look: Parameters<typeof boxPicture>[1]) {
  const { beyondFences, fences } = look.figures
  return [
    {
      name: 'box plot',
      picture: boxPicture(drawn, look),
      describe: (described: string, inUnit: InUnit) =>
        `Box plot of ${described}; ${beyondFences.length} readings beyond the fences at ${inUnit(fences[0])} and ${inUnit(fences[1])}.`,
      caption: 'Box plot; beyond the fences each reading is a circle',
    },
    {
      name: 'readings in order',
      picture: orderPicture(drawn),
      describe: (described: string) => `Readings in the order of their rows: ${described}.`,
      caption: 'In the order of the rows',
    },
    {
      name: 'normal quantile plot',
      picture: quantilePicture(drawn, look),
      describe: (described: string) =>
        `Normal quantile plot of ${described}; on a straight line they would be normal.`,
      caption: 'Normal quantiles; a normal population lies on the line',
    },
  ]
}
