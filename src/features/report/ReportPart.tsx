'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import { useRef, useState } from 'react'
import { QuietButton } from '@/ui/Button'
import { copyText } from '@/ui/copyText'
import { partPicture } from './partPicture'

const SAID_MS = 1500
const SmallButton = chakra(QuietButton, {
  base: { minHeight: '24px', paddingInline: '8px', bg: 'paper.ground', color: 'paper.quiet' },
})

export type ShownPart = Readonly<{ id: string; title: string; level: number; html: string; text: string }>

/** A part of the report, which can be copied by itself. */
export function ReportPart({ part, css }: Readonly<{ part: ShownPart; css: string }>) {
  const place = useRef<HTMLDivElement>(null)
  const [said, setSaid] = useState('')
  const say = (words: string) => {
    setSaid(words)
    setTimeout(() => setSaid(''), SAID_MS)
  }
  const copyWords = async () => {
    await copyText(part.text)
    say('Copied')
  }
  const copyPicture = async () => {
    if (!window.isSecureContext) return say('The browser lets words be copied here, and no pictures.')
    try {
      const png = partPicture(place.current!.firstElementChild!, css)
      await navigator.clipboard.write([new ClipboardItem({ 'image/png': png })])
      say('Copied')
    } catch (error) {
      say(`Not copied: ${error instanceof Error ? error.message : String(error)}`)
    }
  }
  return (
    <Box className="group" position="relative">
      <Flex
        position="absolute"
        right="0"
        top={part.level === 3 ? '-2px' : '10px'}
        gap="6px"
        align="center"
        fontSize="12px"
        _print={{ display: 'none' }}
        css={{
          '@media (hover: hover)': {
            opacity: 0,
            '.group:hover > &, .group:focus-within > &': { opacity: 1 },
          },
        }}
      >
        <span role="status">{said}</span>
        <SmallButton
          type="button"
          onClick={() => void copyWords()}
          aria-label={`Copy as text: ${part.title}`}
        >
          Copy as text
        </SmallButton>
        <SmallButton
          type="button"
          onClick={() => void copyPicture()}
          aria-label={`Copy as picture: ${part.title}`}
        >
          Copy as picture
        </SmallButton>
      </Flex>
      <div ref={place} dangerouslySetInnerHTML={{ __html: part.html }} />
    </Box>
  )
}
