'use client'

import { Box } from '@chakra-ui/react/box'
import { Grid } from '@chakra-ui/react/grid'
import { chakra } from '@chakra-ui/react/styled-system'
import { useDeferredValue, useMemo, useState } from 'react'
import { histogramWords, inUnitOf, readingsInFigures } from '@/words/en/histogramWords'
import { formatReading, withUnit } from '@/words/figures'
import type { EvidenceReading } from '@/intake/readEvidence'
import {
  boxPicture,
  drawnOf,
  drawnWidth,
  histogramPicture,
  orderPicture,
  quantilePicture,
} from '@/pictures/readings'
import { ReadingsChart } from '@/ui/charts/ReadingsChart'
import { pointed } from '@/ui/sample/pointed'
import { rowWords } from '@/ui/sample/rowWords'
import { QuietButton } from '@/ui/Button'
import { useLabel } from '@/ui/sample/SampleProvider'
import { useLook } from '@/ui/sample/useLook'
import { useViewNumber } from '@/ui/workbench/useView'
import { RowToolbar } from '../sheet/RowToolbar'
import { BinWidth } from './BinWidth'
import { BeyondFences } from './BeyondFences'
import { PictureFigures } from './PictureFigures'

const Caption = chakra('figcaption', { base: { color: 'quiet', fontSize: '13px' } })

/** A width that is looked at; 0 stands for the one that is kept. */
const ANY_WIDTH = { min: 0, max: Number.MAX_VALUE, usual: 0 } as const

type PicturesProps = Readonly<{
  evidence: EvidenceReading
  unit: string
  /** The width of the bins that is kept with a claim, for its report; none stands for the usual one. */
  kept?: number | null
  keep?: (width: number | null) => void
}>

/** What the readings look like: four pictures, their figures, and those that stand apart. */
export function Pictures({ evidence, unit, kept = null, keep }: PicturesProps) {
  const label = useLabel()
  const shown = useDeferredValue(evidence)
  const [looked, setLooked] = useViewNumber(label('bins').replaceAll(' ', '-'), ANY_WIDTH)
  const [chosen, setChosen] = useState<number>()
  const drawn = useMemo(() => drawnOf(shown, unit), [shown, unit])
  const look = useLook(drawn.values)
  const usual = look?.figures.binWidth ?? 1
  const keptWidth = kept ?? usual
  const stated = looked === ANY_WIDTH.usual ? keptWidth : looked
  const width = look ? drawnWidth(stated, look.figures) : usual
  const words = useMemo(() => rowWords(drawn), [drawn])
  const charts = useMemo(() => look && chartsOf(drawn, look), [drawn, look])
  const histogram = useMemo(() => look && histogramPicture(drawn, look.sorted, width), [drawn, look, width])
  if (!look || !charts || !histogram) return null

  const { figures } = look
  const inUnit = inUnitOf(figures, unit)
  const described = readingsInFigures(figures, unit)
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
            description={histogramWords(figures, { count: histogram.bars.length, width, unit })}
          />
          <Caption>
            <BinWidth
              width={width}
              usual={usual}
              unit={unit}
              onChange={(next) => setLooked(next === keptWidth ? ANY_WIDTH.usual : next)}
            />
            {keep && stated !== keptWidth && (
              <QuietButton
                type="button"
                onClick={() => {
                  keep(stated === usual ? null : stated)
                  setLooked(ANY_WIDTH.usual)
                }}
              >
                Keep this width for the report
              </QuietButton>
            )}
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
