'use client'

import { chakra } from '@chakra-ui/react'
import type { Chart, ChartData, ChartOptions } from 'chart.js'
import { lazy, type RefObject, Suspense } from 'react'

/** As tall as it is told, so that the picture does not push the page about while it is drawn. */
export const PictureFrame = chakra('div', { base: { position: 'relative' } })

/** What Chart.js draws, of whichever kinds its parts are. */
export type Drawing = Readonly<{
  data: ChartData | ChartData<'scatter'>
  options: ChartOptions | ChartOptions<'scatter'>
}>

export type PictureProps = Readonly<{
  name: string
  description: string
  height: string
  ground?: 'page' | 'surface'
  testId?: string
  chart?: RefObject<Chart | null>
}>

/** Chart.js comes once a picture is met, so that the page does not wait for it. */
const DrawnPicture = lazy(() => import('./DrawnPicture').catch(() => ({ default: NotDrawn })))

/**
 * A chart with what takes it out: copied as a picture, or saved as PNG or SVG.
 *
 * @param name - of the files, and of what takes it out
 * @param description - what it shows, for those who do not see it
 * @param ground - the colour that it stands on
 * @param drawing - absent until the page's colours are known; its place is kept free for it
 * @param chart - holds the chart, for whoever changes it later
 */
export function Picture({ drawing, ...props }: PictureProps & Readonly<{ drawing: Drawing | undefined }>) {
  const kept = <PictureFrame height={props.height} />
  if (!drawing) return kept
  return (
    <Suspense fallback={kept}>
      <DrawnPicture {...props} drawing={drawing} />
    </Suspense>
  )
}

function NotDrawn({ height, description }: PictureProps) {
  return (
    <PictureFrame height={height}>
      The picture could not be fetched: load the page again to see it. What it shows: {description}
    </PictureFrame>
  )
}
