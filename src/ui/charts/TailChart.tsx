'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import type { ChartOptions } from 'chart.js'
import { useMemo, useRef } from 'react'
import type { DistributionShape } from '@/pictures/distributionShape'
import { outlineOf, samplingShape } from '@/pictures/samplingShape'
import type { Ends } from '@/statistics/inference/interval'
import { axisWords, tickStyle } from './axisWords'
import { ChartHandle } from './ChartHandle'
import { Picture } from './Picture'
import { type Colours, useColours } from './useColours'

const HEIGHT = 300
/** Round the plot, in pixels: room for half a label, and for the handle. */
const [ASIDE, ABOVE] = [20, 26]
/** Above the curve, as a part of its height. */
const HEADROOM = 1.12
/** The handle moves in so many steps from one end of the picture to the other, or a little more. */
const STEPS = 400

const Frame = chakra('div', { base: { position: 'relative' } })

/**
 * A distribution with its tails hatched, and a handle on the end of one of them.
 *
 * @param handle - the end that is pulled
 * @param words - of an end
 * @param description - the same in words, for those who do not see it
 * @param onMove - told where the handle is pulled to, as a number that is typed
 */
export function TailChart({
  shape,
  ends,
  handle,
  words,
  description,
  onMove,
}: Readonly<{
  shape: DistributionShape
  ends: Ends
  handle: number
  words: (x: number) => string
  description: string
  onMove: (text: string) => void
}>) {
  const colours = useColours()
  const frame = useRef<HTMLDivElement>(null)
  const { x: axis } = samplingShape(pictureOf(shape, ends))
  const drawing = useMemo(
    () =>
      colours && { data: dataOf(shape, ends, colours), options: optionsOf({ shape, ends, words, colours }) },
    [shape, ends, words, colours],
  )
  const width = axis.max - axis.min
  const step = shape.barWidth || Math.max(shape.step ?? 0, niceStep(width))
  const moveTo = (x: number) => {
    const inside = Math.min(shape.max, Math.max(shape.min, x))
    // Without the sign that a zero has when it is come to from below.
    onMove((Math.round(inside / step) * step || 0).toFixed(Math.max(0, -Math.floor(Math.log10(step)))))
  }
  const at = Math.min(axis.max, Math.max(axis.min, handle))
  return (
    <Frame ref={frame}>
      <Picture
        name="distribution"
        description={description}
        height={`${HEIGHT}px`}
        drawing={drawing}
        testId="distribution"
      />
      <ChartHandle
        {...{ frame, axis, step }}
        aside={[ASIDE, ASIDE]}
        at={{ x: at, top: ABOVE }}
        value={handle}
        label="Where the tail begins"
        words={words(handle)}
        onMove={moveTo}
      />
    </Frame>
  )
}

/** A step of 1, 2 or 5 times a power of ten. */
function niceStep(width: number): number {
  const wanted = width / STEPS
  const power = 10 ** Math.floor(Math.log10(wanted))
  return power * ([1, 2, 5].findLast((times) => times * power <= wanted) ?? 1)
}

/** The ends that lie within what whole numbers there are. */
function pictureOf(shape: DistributionShape, { lower, upper }: Ends) {
  const isBars = shape.shape === 'bars'
  const rejected = {
    ...(lower === undefined ? {} : { lower: isBars ? Math.floor(lower) : lower }),
    ...(upper === undefined ? {} : { upper: isBars ? Math.ceil(upper) : upper }),
  }
  return { ...shape, rejected, counted: {}, statistic: shape.min }
}

const limitsOf = ({ lower, upper }: Ends) => [lower, upper].filter((end) => end !== undefined)

function dataOf(shape: DistributionShape, ends: Ends, colours: Colours) {
  const picture = pictureOf(shape, ends)
  const { top } = samplingShape(picture)
  const line = (data: { x: number; y: number }[], colour: string, width: number) => ({
    data,
    showLine: true,
    borderColor: colour,
    borderWidth: width,
    pointRadius: 0,
    pointHitRadius: 0,
  })
  return {
    datasets: [
      line([...outlineOf(picture)], colours.ink, shape.shape === 'bars' ? 1 : 1.6),
      ...limitsOf(ends).map((x) =>
        line(
          [
            { x, y: 0 },
            { x, y: top * HEADROOM },
          ],
          colours.brass,
          2,
        ),
      ),
    ],
  }
}

function optionsOf({
  shape,
  ends,
  words,
  colours,
}: Readonly<{
  shape: DistributionShape
  ends: Ends
  words: (x: number) => string
  colours: Colours
}>): ChartOptions<'scatter'> {
  const picture = pictureOf(shape, ends)
  const { x, top } = samplingShape(picture)
  return {
    animation: false,
    maintainAspectRatio: false,
    events: [],
    layout: { autoPadding: false, padding: { left: ASIDE, right: ASIDE, top: ABOVE } },
    scales: {
      x: {
        type: 'linear',
        ...x,
        border: { color: colours.ink },
        grid: { display: false },
        ticks: {
          ...tickStyle(colours),
          maxTicksLimit: 9,
          callback: (value, _, ticks) => axisWords(Number(value), ticks, ''),
        },
      },
      y: { type: 'linear', min: 0, max: top * HEADROOM, display: false },
    },
    plugins: {
      sampling: { picture, colours },
      labels: {
        background: colours.page,
        labels: limitsOf(ends).map((at) => ({
          text: words(at),
          x: Math.min(shape.max, Math.max(shape.min, at)),
          y: top * 1.04,
          side: at > (shape.min + shape.max) / 2 ? ('right' as const) : ('left' as const),
          colour: colours.brass,
        })),
      },
    },
  }
}
