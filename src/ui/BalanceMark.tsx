'use client'

import { chakra } from '@chakra-ui/react/styled-system'
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

/** The colour of each mark, for what is so marked or a part of it. */
export const colouredBy = (part = '') =>
  Object.fromEntries(
    Object.entries(MARK_COLOUR).map(([mark, color]) => [`&[data-mark=${mark}]${part}`, { color }]),
  )

/** One part has the styles of all that are in it: of a docket with a hundred marks each part more is felt. */
const Drawing = chakra('svg', {
  base: {
    flexShrink: 0,
    overflow: 'visible',
    ...colouredBy(),
    '& g': { transformBox: 'view-box', transition: 'transform 200ms ease-out' },
    '& [data-part=beam]': { transformOrigin: '36px 12px' },
    '& [data-part=claim]': { transformOrigin: '8px 12px' },
    '& [data-part=evidence]': { transformOrigin: '64px 12px' },
    '&[data-tipped] [data-part=beam]': { transform: 'rotate(14deg)' },
    '&[data-tipped] [data-part=claim], &[data-tipped] [data-part=evidence]': { transform: 'rotate(-14deg)' },
  },
})

/**
 * The beam balance of a finding. It is decoration beside the outcome's word, which must stand next to it.
 *
 * @param height - in pixels
 */
export function BalanceMark({ mark, height }: Readonly<{ mark: Mark; height: number }>) {
  const { isTipped, isSolid } = SHAPE[mark]
  const pan = { fill: isSolid ? 'currentColor' : 'none', strokeLinejoin: 'round' } as const
  return (
    <Drawing
      viewBox="0 0 72 54"
      htmlHeight={height}
      htmlWidth={(height * 72) / 54}
      stroke="currentColor"
      fill="none"
      aria-hidden="true"
      data-mark={mark}
      data-tipped={isTipped ? '' : undefined}
    >
      <path d="M36 12V50M24 51H48" strokeWidth="2.5" strokeLinecap="round" />
      <g data-part="beam" strokeDasharray={mark === 'open' ? '3 4' : undefined}>
        <path d="M8 12H64" strokeWidth={isSolid ? 3 : 2} strokeLinecap="round" />
        <g data-part="claim">
          <path d="M8 13L0.5 28H15.5Z" strokeWidth="1.75" {...pan} />
        </g>
        <g data-part="evidence">
          <path d="M64 13L56.5 28H71.5Z" strokeWidth="1.75" {...pan} />
        </g>
      </g>
      <circle cx="36" cy="12" r="2.5" fill="currentColor" stroke="none" />
    </Drawing>
  )
}
