// The table of growth as a picture: both scales by tens, so that what grows with the rows is a line that rises by one in one.
import { scaleLog } from 'd3-scale'

const [WIDTH, HEIGHT] = [760, 420]
const MARGIN = { left: 70, right: 190, top: 32, bottom: 50 }
const PAPER = '#FFFDF8'
const INK = '#1E2A2F'
const RULE = '#DDD6C7'
/** What no program goes below is dashed. */
const COLOURS = ['#1F5A57', '#8C5F10', '#5B5A8A', '#A63A1E', '#5B676B', '#1F6B45', '#7A3B69', '#2F4B7C']

/**
 * @param series - each with a name, whether it `isLimit`, and points of how many there are and milliseconds
 * @param of - what there are so many of
 * @returns an SVG
 */
export function growthPicture(series, of) {
  const points = series.flatMap((one) => one.points)
  const [sizes, times] = [points.map(([size]) => size), points.map(([, ms]) => ms)]
  const x = scaleLog([Math.min(...sizes), Math.max(...sizes)], [MARGIN.left, WIDTH - MARGIN.right])
  const y = scaleLog([Math.min(...times), Math.max(...times)], [HEIGHT - MARGIN.bottom, MARGIN.top]).nice()
  const tens = (scale) =>
    scale.ticks().filter((value) => Number.isInteger(Math.round(Math.log10(value) * 1e9) / 1e9))
  const line = (x1, y1, x2, y2) => `<line x1="${x1}" y1="${y1}" x2="${x2}" y2="${y2}" stroke="${RULE}"/>`
  const text = (at, words, { anchor = 'start', colour = INK } = {}) =>
    `<text x="${at[0]}" y="${at[1]}" fill="${colour}" stroke="${PAPER}" stroke-width="3" paint-order="stroke" text-anchor="${anchor}">${words}</text>`
  const grid = [
    ...tens(x).flatMap((value) => [
      line(x(value), MARGIN.top, x(value), HEIGHT - MARGIN.bottom),
      text([x(value), HEIGHT - MARGIN.bottom + 18], value.toLocaleString('en'), { anchor: 'middle' }),
    ]),
    ...tens(y).flatMap((value) => [
      line(MARGIN.left, y(value), WIDTH - MARGIN.right, y(value)),
      text([MARGIN.left - 8, y(value) + 4], value.toLocaleString('en'), { anchor: 'end' }),
    ]),
  ]
  const lines = series.map(({ points: own, isLimit }, at) => {
    const path = own.map(([size, ms]) => `${x(size).toFixed(1)},${y(ms).toFixed(1)}`).join(' ')
    return `<polyline points="${path}" fill="none" stroke="${COLOURS[at % COLOURS.length]}" stroke-width="2" ${isLimit ? 'stroke-dasharray="5 4"' : ''}/>`
  })
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}" font-family="sans-serif" font-size="12" role="img" aria-label="Milliseconds against ${of}">`,
    `<rect width="${WIDTH}" height="${HEIGHT}" fill="${PAPER}"/>`,
    ...grid,
    ...lines,
    ...labels(series, { x, y }).map(({ at, words, colour }) => text(at, words, { colour })),
    text([(MARGIN.left + WIDTH - MARGIN.right) / 2, HEIGHT - 10], of, { anchor: 'middle' }),
    text([MARGIN.left - 8, MARGIN.top - 14], 'ms', { anchor: 'end' }),
    '</svg>\n',
  ].join('\n')
}

const LINE = 15
/** About as wide as a letter is. */
const LETTER = 7
const ends = ({ at, words }) => at[0] + LETTER * words.length

/** A name behind the end of each line, those that would cover another moved up. */
function labels(series, { x, y }) {
  const wanted = series
    .map(({ name, points }, at) => {
      const [size, ms] = points.at(-1)
      return { words: name, colour: COLOURS[at % COLOURS.length], at: [x(size) + 6, y(ms) + 4] }
    })
    .toSorted((a, b) => b.at[1] - a.at[1])
  const placed = []
  for (const label of wanted) {
    const below = placed.filter((one) => ends(one) > label.at[0] && ends(label) > one.at[0])
    const free = Math.min(...below.map(({ at }) => at[1] - LINE), label.at[1])
    placed.push({ ...label, at: [label.at[0], free] })
  }
  return placed
}
