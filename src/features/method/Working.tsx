'use client'

import { Box } from '@chakra-ui/react/box'
import { chakra } from '@chakra-ui/react/styled-system'
import type { WrittenStep } from '@/words/en/working/working'
import { QuietButton } from '@/ui/Button'
import { Latex } from '@/ui/Latex'
import { useView } from '@/ui/workbench/useView'

const Name = chakra('div', { base: { color: 'quiet', fontSize: '13px' } })
const Line = chakra('div', { base: { fontSize: '16px', overflowX: 'auto', paddingBlock: '2px 8px' } })

/** Each formula with the sample's numbers put in, so that it can be followed with a calculator. */
export function Working({ steps }: Readonly<{ steps: readonly WrittenStep[] }>) {
  const [working, show] = useView('working', ['hidden', 'shown'])
  const isShown = working === 'shown'
  return (
    <Box marginTop="12px">
      <QuietButton type="button" aria-expanded={isShown} onClick={() => show(isShown ? 'hidden' : 'shown')}>
        {isShown ? 'Hide the working' : 'Show the working, step by step'}
      </QuietButton>
      {isShown && (
        <Box as="ol" aria-label="Working" marginTop="10px">
          {steps.map(({ name, latex, text }, at) => (
            <li key={at}>
              <Name>
                {at + 1}. {name}
              </Name>
              <Line tabIndex={0}>
                <Latex latex={latex} text={text} />
              </Line>
            </li>
          ))}
        </Box>
      )}
    </Box>
  )
}
