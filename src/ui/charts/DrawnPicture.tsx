'use client'

import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import {
  BarController,
  BarElement,
  Chart as ChartJs,
  type ChartData,
  type ChartOptions,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  ScatterController,
  Tooltip,
} from 'chart.js'
import { useRef, useState } from 'react'
import { flushSync } from 'react-dom'
import { Chart } from 'react-chartjs-2'
import { pngOf, save, svgOf } from './chartFiles'
import { labelPlugin } from './labelPlugin'
import { type Drawing, PictureFrame, type PictureProps } from './PictureFrame'
import { samplingPlugin } from './samplingPlugin'
import { useColours } from './useColours'
import { useIsSeen } from './useIsSeen'

ChartJs.register(
  BarController,
  BarElement,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  ScatterController,
  Tooltip,
  labelPlugin,
  samplingPlugin,
)

const SAID_MS = 1500

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

/** A picture with what takes it out: copied, or saved as PNG or SVG. Out of sight it stays as it was until it is seen or taken out. */
export default function DrawnPicture({
  name,
  description,
  height,
  ground = 'page',
  drawing,
  testId,
  chart: wanted,
}: PictureProps & Readonly<{ drawing: Drawing }>) {
  const own = useRef<ChartJs | null>(null)
  const chart = wanted ?? own
  const place = useRef<HTMLDivElement>(null)
  const isSeen = useIsSeen(place)
  const [drawn, setDrawn] = useState(drawing)
  if (isSeen && drawn !== drawing) setDrawn(drawing)
  const upToDate = () => {
    flushSync(() => setDrawn(drawing))
    return chart.current!
  }
  const colours = useColours()
  const [said, setSaid] = useState('')
  const say = (words: string) => {
    setSaid(words)
    setTimeout(() => setSaid(''), SAID_MS)
  }
  const file = name.replaceAll(' ', '-')
  const png = () => pngOf(upToDate(), colours?.[ground] ?? 'white')
  const copy = async () => {
    try {
      await navigator.clipboard.write([new ClipboardItem({ 'image/png': png() })])
      say('Copied')
    } catch {
      say('The browser does not let it be copied; save it.')
    }
  }
  const saveSvg = async () =>
    save(new Blob([await svgOf(upToDate())], { type: 'image/svg+xml' }), `${file}.svg`)
  return (
    <div className="group" ref={place}>
      <PictureFrame height={height}>
        <Chart
          ref={(made) => {
            chart.current = made ?? null
          }}
          type="scatter"
          data={drawn.data as ChartData<'scatter'>}
          options={drawn.options as ChartOptions<'scatter'>}
          role="img"
          aria-label={description}
          data-testid={testId}
        />
      </PictureFrame>
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
