'use client'

import { lazy, Suspense } from 'react'
import { type Drawing, PictureFrame, type PictureProps } from './PictureFrame'

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
