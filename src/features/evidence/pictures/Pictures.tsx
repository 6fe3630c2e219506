'use client'

import { Box, chakra, Grid } from '@chakra-ui/react'
import { useDeferredValue, useMemo, useState } from 'react'
import { decimalsFor, formatCount, formatFull, formatReading, formatNumber, withUnit } from '@/words/figures'
import type { EvidenceReading } from '@/intake/readEvidence'
import { ReadingsChart } from '@/ui/charts/ReadingsChart'
import { Figure } from '@/ui/figures/Figure'
import { FigureTable } from '@/ui/figures/FigureTable'
import { pointed } from '@/ui/sample/pointed'
import { useLabel } from '@/ui/sample/SampleProvider'
import { useViewNumber } from '@/ui/workbench/useView'
import { RowToolbar } from '../sheet/RowToolbar'
import {
  boxPicture,
  drawnOf,
  histogramPicture,
  orderPicture,
  quantilePicture,
} from '@/ui/pictures/pictureData'
import { useLook } from '@/ui/pictures/useLook'

/** Readings beyond the fences that are listed; the others are counted. */
const MOST_LISTED = 12
/** Of figures without a unit. */
const PLAIN_DECIMALS = 3
/** How far the slider makes the bins narrower or wider, as a power of two. */
const STEPS = { least: -3, most: 3, usual: 0 } as const
const Caption = chakra('figcaption', { base: { color: 'quiet', fontSize: '13px' } })
const Slider = chakra('input', { base: { accentColor: 'accent', width: '120px' } })
const Reading = chakra('button', {
  base: {
    padding: '0 4px',
    border: 0,
    bg: 'transparent',
    fontFamily: 'mono',
    fontSize: '13px',
    cursor: 'pointer',
    textDecoration: 'underline',
    textDecorationColor: 'brass',
  },
})

/** What the readings look like: four pictures, their figures, and those that stand apart. */
export function Pictures({ evidence, unit }: Readonly<{ evidence: EvidenceReading; unit: string }>) {
  const label = useLabel()
  const shown = useDeferredValue(evidence)
  const [step, setStep] = useViewNumber(label('bins').replaceAll(' ', '-'), STEPS)
  const [chosen, setChosen] = useState<number>()
  const drawn = useMemo(() => drawnOf(shown, unit), [shown, unit])
  const look = useLook(drawn.values)
  const width = (look?.figures.binWidth ?? 1) * 2 ** step
  const pictures = useMemo(
    () =>
      look && {
        box: boxPicture(drawn, look),
        order: orderPicture(drawn),
        quantiles: quantilePicture(drawn, look),
      },
    [drawn, look],
  )
  const histogram = useMemo(() => look && histogramPicture(drawn, look.sorted, width), [drawn, look, width])
  if (!look || !pictures || !histogram) return null

  const { figures } = look
  const { beyondFences, fences, quartiles } = figures
  const decimals = decimalsFor(figures.standardError ?? 0)
  const inUnit = (value: number) => withUnit(formatNumber(value, decimals), unit)
  const plain = (value: number) => formatNumber(value, PLAIN_DECIMALS)
  const described = `${formatCount(drawn.values.length)} readings from ${inUnit(figures.min)} to ${inUnit(figures.max)}, median ${inUnit(figures.median)}, quartiles ${inUnit(quartiles[0])} and ${inUnit(quartiles[1])}`
  const row = (name: string, value: number | undefined, format: (value: number) => string) =>
    value === undefined
      ? []
      : [{ name, figure: <Figure name={name} shown={format(value)} full={formatFull(value)} /> }]
  const chart = { pointing: pointed, onChoose: setChosen }
  return (
    <Box marginTop="14px" aria-label="What the readings look like" role="group">
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', sm: 'repeat(2, minmax(0, 1fr))' }} gap="14px 22px">
        <figure>
          <ReadingsChart
            {...chart}
            name={label('histogram')}
            picture={histogram}
            description={`Histogram of ${described}, in ${histogram.bars.length} bins of ${withUnit(formatNumber(width, 4), unit)}.`}
          />
          <Caption>
            <label>
              Bins of {withUnit(formatNumber(width, decimalsOf(width)), unit)}
              {step === 0 && ' (Freedman and Diaconis)'}{' '}
              <Slider
                type="range"
                aria-label={label('Width of the bins')}
                min={STEPS.least}
                max={STEPS.most}
                step={0.25}
                value={step}
                onChange={(event) => setStep(Number(event.target.value))}
              />
            </label>
          </Caption>
        </figure>
        <figure>
          <ReadingsChart
            {...chart}
            name={label('box plot')}
            picture={pictures.box}
            description={`Box plot of ${described}; ${beyondFences.length} readings beyond the fences at ${inUnit(fences[0])} and ${inUnit(fences[1])}.`}
          />
          <Caption>Box plot; beyond the fences each reading is a circle</Caption>
        </figure>
        <figure>
          <ReadingsChart
            {...chart}
            name={label('readings in order')}
            picture={pictures.order}
            description={`Readings in the order of their rows: ${described}.`}
          />
          <Caption>In the order of the rows</Caption>
        </figure>
        <figure>
          <ReadingsChart
            {...chart}
            name={label('normal quantile plot')}
            picture={pictures.quantiles}
            description={`Normal quantile plot of ${described}; on a straight line they would be normal.`}
          />
          <Caption>Normal quantiles; a normal population lies on the line</Caption>
        </figure>
      </Grid>
      <Grid
        templateColumns={{ base: 'minmax(0, 1fr)', sm: 'repeat(2, minmax(0, 1fr))' }}
        gap="4px 32px"
        marginTop="10px"
      >
        <FigureTable
          label="Centre and spread"
          rows={[
            ...row('Median', figures.median, inUnit),
            ...row('Quartiles, lower', quartiles[0], inUnit),
            ...row('Quartiles, upper', quartiles[1], inUnit),
            ...row('Median absolute deviation', figures.medianAbsoluteDeviation, inUnit),
          ]}
        />
        <FigureTable
          label="Range and shape"
          rows={[
            ...row('Least', figures.min, inUnit),
            ...row('Greatest', figures.max, inUnit),
            ...row('Skewness', figures.skewness?.G1, plain),
            ...row('Excess kurtosis', figures.excessKurtosis?.G2, plain),
          ]}
        />
      </Grid>
      <Box marginTop="8px">
        {beyondFences.length === 0
          ? `No reading lies beyond the fences, ${inUnit(fences[0])} and ${inUnit(fences[1])}.`
          : `${formatCount(beyondFences.length)} ${beyondFences.length === 1 ? 'reading lies' : 'readings lie'} beyond the fences, ${inUnit(fences[0])} and ${inUnit(fences[1])}: `}
        {beyondFences.slice(0, MOST_LISTED).map((place) => (
          <Reading
            key={place}
            type="button"
            onClick={() => setChosen(drawn.rows[place]!)}
            onMouseEnter={() => pointed.set(drawn.rows[place]!)}
            onMouseLeave={() => pointed.set(undefined)}
            onFocus={() => pointed.set(drawn.rows[place]!)}
            onBlur={() => pointed.set(undefined)}
          >
            {withUnit(formatReading(drawn.values[place]!), unit)} (row {drawn.rows[place]! + 1})
          </Reading>
        ))}
        {beyondFences.length > MOST_LISTED && ` and ${formatCount(beyondFences.length - MOST_LISTED)} more.`}
      </Box>
      {chosen !== undefined && (
        <RowToolbar
          key={chosen}
          row={chosen}
          shown={
            drawn.valueOf(chosen) === undefined ? '' : withUnit(formatReading(drawn.valueOf(chosen)!), unit)
          }
        />
      )}
    </Box>
  )
}

/** Three digits that count. */
function decimalsOf(width: number): number {
  return Math.max(0, 2 - Math.floor(Math.log10(width || 1)))
}
