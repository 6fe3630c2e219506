import { drawUnits } from '@/statistics/resampling/drawUnits'
import { type Draw, DRAW_HEADS, drawNote, drawRequest, drawTitle } from '@/words/en/drawWords'
import { formatCount } from '@/words/figures'
import type { Report } from './document/document'

/** Room for what is written by hand. */
const [BOX, BLANK] = ['▢', '_'.repeat(18)]

/** A sheet to take along: the units that are drawn of a lot, with boxes and lines to fill in. */
export function drawSheet(draw: Draw, madeAt: Date): Report {
  const units = drawUnits(draw)
  return {
    title: drawTitle(draw, 'unit').replace('Draw', 'Take'),
    asOf: `seed ${draw.seed}`,
    madeAt,
    parts: [
      {
        ...{ id: 'draw', title: drawTitle(draw, 'unit').replace('Draw', 'Take'), level: 1 },
        blocks: [
          { is: 'paragraph', text: drawNote(draw, 'unit') },
          {
            is: 'facts',
            label: 'The draw',
            rows: [
              ['Seed', String(draw.seed)],
              ['On the command line', drawRequest(draw)],
              ...['Lot', 'Place', 'Day', 'Drawn by', 'Instrument'].map((name) => [name, BLANK] as const),
            ],
          },
          {
            is: 'table',
            label: 'The units that are drawn',
            heads: DRAW_HEADS,
            rows: units.map((unit) => [formatCount(unit), BOX, BLANK, '']),
            numbers: [false, false, false, false],
          },
        ],
      },
    ],
  }
}
