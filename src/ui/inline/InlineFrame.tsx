import { chakra } from '@chakra-ui/react/styled-system'
import type { ReactNode } from 'react'

/** The brass line under a word says that it can be changed. */
const Frame = chakra('span', {
  base: {
    display: 'inline-grid',
    maxWidth: '100%',
    borderBottom: '2px solid',
    borderColor: 'brass',
    '&[data-invalid]': { borderBottomStyle: 'wavy', borderColor: 'finding.contradicted' },
    '& > *': { gridArea: '1 / 1' },
  },
})

/** Takes the room of the text that is shown, so that the control on top of it is as wide as its words. */
const Sizer = chakra('span', {
  base: {
    visibility: 'hidden',
    whiteSpace: 'pre',
    overflow: 'hidden',
    minWidth: '24px',
    paddingInline: '1px',
  },
})

export const inlineControl = {
  // No width of its own: a list would else be as wide as its longest word.
  width: 0,
  minWidth: '100%',
  padding: 0,
  paddingInline: '1px',
  border: 0,
  bg: 'transparent',
  borderRadius: 0,
  appearance: 'none',
  cursor: 'pointer',
  textOverflow: 'ellipsis',
  _placeholder: { color: 'brass', opacity: 1 },
  _hover: { bg: 'selection' },
} as const

export function InlineFrame({
  shown,
  isInvalid = false,
  children,
}: Readonly<{ shown: string; isInvalid?: boolean; children: ReactNode }>) {
  return (
    <Frame data-invalid={isInvalid ? '' : undefined}>
      <Sizer aria-hidden="true">{shown}</Sizer>
      {children}
    </Frame>
  )
}
