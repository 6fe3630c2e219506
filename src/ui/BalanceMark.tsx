'use client'

import { chakra } from '@chakra-ui/react'
import type { FindingOutcome } from '@/claims/finding'

export type Mark = FindingOutcome | 'open'

/** Tipped to the evidence or level, solid or outlined: the shape tells the outcome, the colour repeats it. */
const SHAPE: Readonly<Record<Mark, Readonly<{ isTipped: boolean; isSolid: boolean }>>> = {
  contradicted: { isTipped: true, isSolid: true },
  'not-contradicted': { isTipped: false, isSolid: false },
  supported: { isTipped: false, isSolid: true },
  'not-supported': { isTipped: true, isSolid: false },
  open: { isTipped: false, isSolid: false },
}

export const MARK_COLOUR: Readonly<Record<Mark, string>> = {
  contradicted: 'finding.contradicted',
  'not-contradicted': 'finding.undecided',
  supported: 'finding.supported',
  'not-supported': 'finding.undecided',
  open: 'finding.open',
}

const Moving = chakra('g', {
  base: {
    transformBox: 'view-box',
    transition: 'transform 200ms ease-out',
    '&[data-part=beam]': { transformOrigin: '36px 12px' },
    '&[data-part=claim]': { transformOrigin: '8px 12px' },
    '&[data-part=evidence]': { transformOrigin: '64px 12px' },
    '&[data-part=beam][data-tipped]': { transform: 'rotate(14deg)' },
    '&[data-part=claim][data-tipped], &[data-part=evidence][data-tipped]': { transform: 'rotate(-14deg)' },
  },
})

/**
 * The beam balance of a finding. It is decoration beside the outcome's word, which must stand next to it.
 *
 * @param height - in pixels
 */
export function BalanceMark({ mark, height }: Readonly<{ mark: Mark; height: number }>) {
  const { isTipped, isSolid } = SHAPE[mark]
  const tipped = isTipped ? '' : undefined
  const pan = { fill: isSolid ? 'currentColor' : 'none', strokeLinejoin: 'round' } as const
  return (
    <chakra.svg
      viewBox="0 0 72 54"
      height={`${height}px`}
      width={`${(height * 72) / 54}px`}
      flexShrink="0"
      color={MARK_COLOUR[mark]}
      stroke="currentColor"
      fill="none"
      overflow="visible"
      aria-hidden="true"
      data-mark={mark}
    >
      <path d="M36 12V50M24 51H48" strokeWidth="2.5" strokeLinecap="round" />
      <Moving data-part="beam" data-tipped={tipped} strokeDasharray={mark === 'open' ? '3 4' : undefined}>
        <path d="M8 12H64" strokeWidth={isSolid ? 3 : 2} strokeLinecap="round" />
        <Moving data-part="claim" data-tipped={tipped}>
          <path d="M8 13L0.5 28H15.5Z" strokeWidth="1.75" {...pan} />
        </Moving>
        <Moving data-part="evidence" data-tipped={tipped}>
          <path d="M64 13L56.5 28H71.5Z" strokeWidth="1.75" {...pan} />
        </Moving>
      </Moving>
      <circle cx="36" cy="12" r="2.5" fill="currentColor" stroke="none" />
    </chakra.svg>
  )
}
