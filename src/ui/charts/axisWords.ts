import type { Tick } from 'chart.js'
import { decimalsOfStep } from '@/pictures/ticks'
import { formatNumber, withUnit } from '@/words/figures'
import type { Colours } from './useColours'

/** A tick of the axis, with as many decimals as the steps between ticks need; the last one carries the unit. */
export function axisWords(value: number, ticks: readonly Tick[], unit: string): string {
  const step = Math.abs((ticks[1]?.value ?? value) - (ticks[0]?.value ?? 0)) || 1
  return withUnit(formatNumber(value, decimalsOfStep(step)), unit)
}

/** How the ticks of every axis along a picture are written. */
export const tickStyle = ({ quiet }: Colours) => ({
  color: quiet,
  font: { family: '"IBM Plex Mono", monospace', size: 11 },
  includeBounds: false,
  maxRotation: 0,
})
