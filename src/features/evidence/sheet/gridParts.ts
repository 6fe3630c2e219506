'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import type { ColumnWords } from '@/desk/sampleDraft'

export const ROW_HEIGHT = 24
export const SHOWN_ROWS = 14
export const NUMBER_WIDTH = 84
export const WIDTHS: Readonly<Record<ColumnWords['kind'], number>> = {
  number: 110,
  date: 130,
  category: 140,
  text: 200,
}

export const Frame = chakra('div', {
  base: {
    overflow: 'auto',
    border: '1px solid',
    borderColor: 'edge',
    borderRadius: 'md',
    bg: 'surface',
    fontSize: '13px',
    position: 'relative',
    outlineOffset: '1px',
    // Rows and cells are plain elements: hundreds of them are made anew with each turn of the wheel.
    '& [data-row]': { display: 'flex', height: `${ROW_HEIGHT}px` },
    '& [data-row][data-aside] [role=gridcell]': { textDecoration: 'line-through', color: 'quiet' },
    '& [data-row][data-pointed]': { bg: 'selection' },
    '& [role=gridcell]': {
      flex: 'none',
      paddingInline: '8px',
      lineHeight: `${ROW_HEIGHT}px`,
      whiteSpace: 'pre',
      overflow: 'hidden',
      textOverflow: 'ellipsis',
      fontFamily: 'mono',
      borderBottom: '1px solid',
      borderColor: 'rule',
    },
    '& [data-kind=number]': { textAlign: 'right' },
    '& [role=gridcell][data-chosen]': { bg: 'selection' },
    '& [role=gridcell][data-unread]': { color: 'finding.contradicted', textDecoration: 'underline wavy' },
    '& [role=gridcell][data-active]': { outline: '2px solid', outlineColor: 'accent', outlineOffset: '-2px' },
    '& [data-number]': {
      flex: 'none',
      position: 'sticky',
      left: 0,
      zIndex: 1,
      paddingInline: '8px',
      textAlign: 'right',
      color: 'quiet',
      bg: 'page',
      borderRight: '1px solid',
      borderColor: 'rule',
      fontFamily: 'mono',
      lineHeight: `${ROW_HEIGHT}px`,
    },
  },
})
export const Head = chakra('div', {
  base: {
    flex: 'none',
    paddingInline: '8px',
    fontWeight: '600',
    whiteSpace: 'nowrap',
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    lineHeight: '20px',
  },
})
export const Sub = chakra('span', {
  base: {
    display: 'block',
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    fontWeight: '400',
    color: 'quiet',
    fontSize: '12px',
  },
})
export const HeadButton = chakra('button', {
  base: { padding: 0, border: 0, bg: 'transparent', fontWeight: '600', cursor: 'pointer' },
})
