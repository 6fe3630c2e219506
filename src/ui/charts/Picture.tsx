'use client'

import { chakra, Flex } from '@chakra-ui/react'
import type { Chart as ChartJs, ChartData, ChartOptions } from 'chart.js'
import { type RefObject, useRef, useState } from 'react'
import { Chart } from 'react-chartjs-2'
import { pngOf, save, svgOf } from './chartFiles'
import { useColours } from './useColours'

const SAID_MS = 1500

/** As tall as it is told, so that the picture does not push the page about while it is drawn. */
const Frame = chakra('div', { base: { position: 'relative' } })
const Row = chakra(Flex, {
  base: {
    gap: '10px',
    justifyContent: 'flex-end',
    fontSize: '12px',
    color: 'quiet',
    '@media (hover: hover)': {
      opacity: 0,
      '.group:hover &, .group:focus-within &': { opacity: 1 },
    },
  },
})
const Word = chakra('button', {
  base: {
    minWidth: '28px',
    minHeight: '24px',
    _print: { display: 'none' },
    padding: 0,
    border: 0,
    bg: 'transparent',
    cursor: 'pointer',
    textDecoration: 'underline',
    textUnderlineOffset: '3px',
  },
})

/** What Chart.js draws, of whichever kinds its parts are. */
type Drawing = Readonly<{
  data: ChartData | ChartData<'scatter'>
  options: ChartOptions | ChartOptions<'scatter'>
}>

/**
 * A chart with what takes it out: copied as a picture, or saved as PNG or SVG.
 *
 * @param name - of the files, and of what takes it out
 * @param description - what it shows, for those who do not see it
 * @param ground - the colour that it stands on
 * @param drawing - absent until the page's colours are known; its place is kept free for it
 * @param chart - holds the chart, for whoever changes it later
 */
export function Picture({
  name,
  description,
  height,
  ground = 'page',
  drawing,
  testId,
  chart: wanted,
}: Readonly<{
  name: string
  description: string
  height: string
  ground?: 'page' | 'surface'
  drawing: Drawing | undefined
  testId?: string
  chart?: RefObject<ChartJs | null>
}>) {
  const own = useRef<ChartJs | null>(null)
  const chart = wanted ?? own
  const colours = useColours()
  const [said, setSaid] = useState('')
  const say = (words: string) => {
    setSaid(words)
    setTimeout(() => setSaid(''), SAID_MS)
  }
  const file = name.replaceAll(' ', '-')
  const png = () => pngOf(chart.current!, colours?.[ground] ?? 'white')
  const copy = async () => {
    try {
      await navigator.clipboard.write([new ClipboardItem({ 'image/png': png() })])
      say('Copied')
    } catch {
      say('The browser does not let it be copied; save it.')
    }
  }
  const saveSvg = async () =>
    save(new Blob([await svgOf(chart.current!)], { type: 'image/svg+xml' }), `${file}.svg`)
  if (!drawing) return <Frame height={height} />
  return (
    <div className="group">
      <Frame height={height}>
        <Chart
          ref={(made) => {
            chart.current = made ?? null
          }}
          type="scatter"
          data={drawing.data as ChartData<'scatter'>}
          options={drawing.options as ChartOptions<'scatter'>}
          role="img"
          aria-label={description}
          data-testid={testId}
        />
      </Frame>
      <Row>
        <span role="status">{said}</span>
        <Word type="button" aria-label={`Copy the ${name}`} onClick={() => void copy()}>
          Copy
        </Word>
        <Word
          type="button"
          aria-label={`Save the ${name} as PNG`}
          onClick={() => void png().then((blob) => save(blob, `${file}.png`))}
        >
          PNG
        </Word>
        <Word type="button" aria-label={`Save the ${name} as SVG`} onClick={() => void saveSvg()}>
          SVG
        </Word>
      </Row>
    </div>
  )
}
