'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import type { ChartOptions } from 'chart.js'
import { useMemo, useRef } from 'react'
import { axisWords, tickStyle } from './axisWords'
import { ChartHandle } from './ChartHandle'
import { Picture } from './Picture'
import { type Colours, useColours } from './useColours'

/** Of the picture, in pixels: what its axes and its margins take is fixed, so that the handle stands on the curve. */
const [HEIGHT, ABOVE, BELOW, LEFT, RIGHT] = [300, 16, 30, 48, 44]
const Frame = chakra('div', { base: { position: 'relative' } })

type Point = Readonly<{ x: number; y: number }>

/** A curve of power, and what of it is looked at. */
export type PowerCurve = Readonly<{
  points: readonly Point[]
  at: Point
  /** What is known at that point, in a few words. */
  label: string
  /** The power that is wanted. */
  wanted: number | undefined
  /** Of the axis along the picture. */
  unit: string
  /** How far a key moves the handle. */
  step: number
}>

/**
 * The power over the units taken, or over the gap, with a handle on it.
 *
 * @param handle - what is pulled, in words
 * @param description - the same in words, for those who do not see it
 */
export function PowerChart({
  curve,
  handle,
  description,
  onMove,
}: Readonly<{
  curve: PowerCurve
  handle: string
  description: string
  onMove: (x: number) => void
}>) {
  const colours = useColours()
  const frame = useRef<HTMLDivElement>(null)
  const axis = { min: curve.points[0]!.x, max: curve.points.at(-1)!.x }
  const drawing = useMemo(
    () => colours && { data: dataOf(curve, colours), options: optionsOf(curve, colours) },
    [curve, colours],
  )
  const { x, y } = curve.at
  return (
    <Frame ref={frame}>
      <Picture
        name="power curve"
        description={description}
        height={`${HEIGHT}px`}
        drawing={drawing}
        testId="power"
      />
      <ChartHandle
        {...{ frame, axis, onMove }}
        aside={[LEFT, RIGHT]}
        at={{
          x: Math.min(axis.max, Math.max(axis.min, x)),
          top: ABOVE + (1 - y) * (HEIGHT - ABOVE - BELOW),
        }}
        step={curve.step}
        value={x}
        label={handle}
        words={curve.label}
      />
    </Frame>
  )
}

function dataOf({ points, at, wanted }: PowerCurve, colours: Colours) {
  const [first, last] = [points[0]!.x, points.at(-1)!.x]
  const line = (data: readonly Point[], colour: string, more: object = {}) => ({
    data: [...data],
    showLine: true,
    borderColor: colour,
    borderWidth: 1.8,
    pointRadius: 0,
    pointHitRadius: 0,
    ...more,
  })
  const dashed = { borderWidth: 1, borderDash: [4, 4] }
  return {
    datasets: [
      line(points, colours.ink),
      line([{ x: at.x, y: 0 }, at], colours.brass, dashed),
      ...(wanted === undefined
        ? []
        : [
            line(
              [
                { x: first, y: wanted },
                { x: last, y: wanted },
              ],
              colours.brass,
              dashed,
            ),
          ]),
    ],
  }
}

const PERCENT = [0, 0.25, 0.5, 0.75, 1]

function optionsOf({ points, at, label, unit }: PowerCurve, colours: Colours): ChartOptions<'scatter'> {
  const [min, max] = [points[0]!.x, points.at(-1)!.x]
  return {
    animation: false,
    maintainAspectRatio: false,
    events: [],
    layout: { autoPadding: false, padding: { right: RIGHT, top: ABOVE } },
    scales: {
      x: {
        type: 'linear',
        ...{ min, max },
        border: { color: colours.ink },
        grid: { display: false },
        afterFit: (scale) => {
          scale.height = BELOW
          scale.paddingLeft = 0
          scale.paddingRight = 0
        },
        ticks: {
          ...tickStyle(colours),
          maxTicksLimit: 8,
          callback: (value, place, ticks) =>
            axisWords(Number(value), ticks, place === ticks.length - 1 ? unit : ''),
        },
      },
      y: {
        type: 'linear',
        ...{ min: 0, max: 1 },
        border: { display: false },
        grid: { color: colours.rule },
        afterBuildTicks: (scale) => {
          scale.ticks = PERCENT.map((value) => ({ value }))
        },
        afterFit: (scale) => {
          scale.width = LEFT
        },
        ticks: { ...tickStyle(colours), callback: (value) => `${Number(value) * 100}\u202f%` },
      },
    },
    plugins: {
      labels: {
        background: colours.page,
        labels: [
          {
            text: label,
            ...{ x: at.x, y: at.y > 0.5 ? at.y - 0.09 : at.y + 0.09 },
            side: at.x > (min + max) / 2 ? 'left' : 'right',
            colour: colours.brass,
          },
        ],
      },
    },
  }
}
