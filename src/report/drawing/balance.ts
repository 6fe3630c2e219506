import type { FindingOutcome } from '@/claims/finding'
import { type Drawing, FINDING, type Point, QUIET, type Shape } from './drawing'

const SHAPE = {
  contradicted: { isTipped: true, isSolid: true, colour: FINDING.contradicted },
  'not-contradicted': { isTipped: false, isSolid: false, colour: FINDING.undecided },
  supported: { isTipped: false, isSolid: true, colour: FINDING.supported },
  'not-supported': { isTipped: true, isSolid: false, colour: FINDING.undecided },
  open: { isTipped: false, isSolid: false, colour: QUIET },
} as const
const TILT = (14 * Math.PI) / 180
const [CENTRE_X, CENTRE_Y] = [36, 12]

export const colourOf = (outcome: FindingOutcome | 'open'): string => SHAPE[outcome].colour

/** The balance mark of a finding: tipped to the evidence or level, solid or outlined. */
export function balance(outcome: FindingOutcome | 'open'): Drawing {
  const { isTipped, isSolid, colour } = SHAPE[outcome]
  const tilt = isTipped ? TILT : 0
  const turned = ([x, y]: Point): Point => {
    const [dx, dy] = [x - CENTRE_X, y - CENTRE_Y]
    return [
      CENTRE_X + dx * Math.cos(tilt) - dy * Math.sin(tilt),
      CENTRE_Y + dx * Math.sin(tilt) + dy * Math.cos(tilt),
    ]
  }
  const pan = (end: Point): Shape => {
    const [x, y] = turned(end)
    return {
      is: 'line',
      points: [
        [x, y + 1],
        [x - 7.5, y + 16],
        [x + 7.5, y + 16],
      ],
      closed: true,
      stroke: { colour, width: 1.75 },
      ...(isSolid ? { fill: colour } : {}),
    }
  }
  const [left, right]: readonly Point[] = [
    [8, 12],
    [64, 12],
  ]
  const dash = outcome === 'open' ? { dash: [3, 4] } : {}
  return {
    width: 72,
    height: 54,
    shapes: [
      {
        is: 'line',
        points: [
          [36, 12],
          [36, 50],
        ],
        stroke: { colour, width: 2.5 },
      },
      {
        is: 'line',
        points: [
          [24, 51],
          [48, 51],
        ],
        stroke: { colour, width: 2.5 },
      },
      {
        is: 'line',
        points: [turned(left!), turned(right!)],
        stroke: { colour, width: isSolid ? 3 : 2, ...dash },
      },
      pan(left!),
      pan(right!),
      { is: 'circle', at: [CENTRE_X, CENTRE_Y], radius: 2.5, fill: colour },
    ],
  }
}
