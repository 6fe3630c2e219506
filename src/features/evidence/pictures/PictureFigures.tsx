'use client'

import { Grid } from '@chakra-ui/react/grid'
import type { Look } from '@/pictures/readings'
import { Figure } from '@/ui/figures/Figure'
import { FigureTable } from '@/ui/figures/FigureTable'
import { formatFull, formatNumber } from '@/words/figures'

/** Of figures without a unit. */
const PLAIN_DECIMALS = 3
const plain = (value: number) => formatNumber(value, PLAIN_DECIMALS)

/** The figures that the pictures of readings are read with. */
export function PictureFigures({
  figures,
  inUnit,
}: Readonly<{ figures: Look['figures']; inUnit: (value: number) => string }>) {
  const row = (name: string, value: number | undefined, format: (value: number) => string) =>
    value === undefined
      ? []
      : [{ name, figure: <Figure name={name} shown={format(value)} full={formatFull(value)} /> }]
  const { quartiles } = figures
  return (
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
  )
}
