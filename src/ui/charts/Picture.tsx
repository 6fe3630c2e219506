'use client'

import { chakra, Flex } from '@chakra-ui/react'
import type { Chart } from 'chart.js'
import { type ReactNode, type RefObject, useState } from 'react'
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
    padding: 0,
    border: 0,
    bg: 'transparent',
    cursor: 'pointer',
    textDecoration: 'underline',
    textUnderlineOffset: '3px',
  },
})

/**
 * A chart with what takes it out: copied as a picture, or saved as PNG or SVG.
 *
 * @param name - of the files, and of the picture in words
 * @param ground - the colour that it stands on
 */
export function Picture({
  name,
  height,
  chart,
  ground = 'page',
  children,
}: Readonly<{
  name: string
  height: string
  ground?: 'page' | 'surface'
  chart: RefObject<Chart | null>
  children: ReactNode
}>) {
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
  return (
    <div className="group">
      <Frame height={height}>{children}</Frame>
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
