import { type Draw, drawnOf } from '@/claims/plan/draw'
import { DRAW_HEADS, drawNote, drawRequest, drawTitle, layerTitle } from '@/words/en/drawWords'
import { formatCount } from '@/words/figures'
import type { Report } from './document/document'

/** Room for what is written by hand. */
const [BOX, BLANK] = ['▢', '_'.repeat(18)]

/** A sheet to take along: the units that are drawn of a lot, or of each layer of it, with boxes and lines to fill in. */
export function drawSheet(draw: Draw, madeAt: Date): Report {
  const title = drawTitle(draw, 'unit').replace('Draw', 'Take')
  return {
    title,
    asOf: `seed ${draw.seed}`,
    madeAt,
    parts: [
      {
        ...{ id: 'draw', title, level: 1 },
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
          ...drawnOf(draw).flatMap(({ layer, size, units }) => [
            ...(layer === undefined
              ? []
              : [{ is: 'paragraph', text: layerTitle(layer, units.length, size) } as const]),
            {
              is: 'table',
              label: layer === undefined ? 'The units that are drawn' : `The units drawn of ${layer}`,
              heads: DRAW_HEADS,
              rows: units.map((unit) => [formatCount(unit), BOX, BLANK, '']),
              numbers: [false, false, false, false],
            } as const,
          ]),
        ],
      },
    ],
  }
}
