'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import type { Chart, ChartData, ChartOptions } from 'chart.js'
import type { RefObject } from 'react'

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
