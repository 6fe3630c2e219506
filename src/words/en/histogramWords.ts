import type { ShortDescription } from '@/statistics/describe/describe'
import { decimalsFor, formatCount, formatNumber, withUnit } from '../figures'

/** A width of bins, by three digits that count. */
export const widthText = (width: number): string =>
  formatNumber(width, Math.max(0, 2 - Math.floor(Math.log10(width || 1))))

/** Writes a reading's figures with the decimals that fit how much the readings scatter. */
export function inUnitOf(figures: ShortDescription, unit: string): (value: number) => string {
  const decimals = decimalsFor(figures.standardError ?? 0)
  return (value) => withUnit(formatNumber(value, decimals), unit)
}

/** Readings in a few figures, for those who do not see their picture: "24 readings from 14.6 kg to 15.2 kg, median …". */
export function readingsInFigures(figures: ShortDescription, unit: string): string {
  const inUnit = inUnitOf(figures, unit)
  const { n, min, max, median, quartiles } = figures
  return `${formatCount(n)} readings from ${inUnit(min)} to ${inUnit(max)}, median ${inUnit(median)}, quartiles ${inUnit(quartiles[0])} and ${inUnit(quartiles[1])}`
}

/** What a histogram shows, for those who do not see it. */
export function histogramWords(
  figures: ShortDescription,
  bins: Readonly<{ count: number; width: number; unit: string; of?: string | undefined }>,
): string {
  const { count, width, unit, of } = bins
  const each = count === 1 ? '1 bin' : `${formatCount(count)} bins`
  return `Histogram${of ? `, ${of}` : ''}: ${readingsInFigures(figures, unit)}, in ${each} of ${withUnit(widthText(width), unit)}.`
}
