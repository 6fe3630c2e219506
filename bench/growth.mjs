// What work costs as what it is done with becomes more, beside what the machine can't go below: reading the file, looking for its
// line ends, adding up doubles. Printed as the tables of docs/SPEED.md; with `--record` also drawn, as docs/growth-*.svg.
import { writeFileSync } from 'node:fs'
import { growthOfFiles } from './growthOfFiles.mjs'
import { growthOfLists } from './growthOfLists.mjs'
import { growthOfDesks } from './growthOfDesks.mjs'
import { growthPicture } from './growthPicture.mjs'
import { IS_TINY, sized } from './sizes.mjs'

const SIZES = sized([1e3, 1e4, 1e5, 1e6, 1e7], [1e3])
const TABLES = { files: growthOfFiles, lists: growthOfLists, desks: growthOfDesks }

export async function measureGrowth() {
  for (const [name, { of, columns, measure }] of Object.entries(TABLES)) {
    console.log(`\n| ${[of, ...columns.map((column) => column.name)].join(' | ')} |`)
    console.log(`| ${['of', ...columns].map(() => '---:').join(' | ')} |`)
    const rows = []
    for (const size of SIZES) {
      const cells = await measure(size)
      if (cells.every((cell) => cell === undefined)) break
      rows.push({ size, cells })
      console.log(`| ${[size.toLocaleString('en'), ...cells.map(written)].join(' | ')} |`)
    }
    if (IS_TINY || !process.argv.includes('--record')) continue
    const series = columns.map((column, at) => ({
      ...column,
      points: rows.map(({ size, cells }) => [size, cells[at]]).filter(([, cell]) => cell !== undefined),
    }))
    const drawn = series.filter(({ isMemory }) => !isMemory)
    writeFileSync(new URL(`../docs/growth-${name}.svg`, import.meta.url), growthPicture(drawn, of))
  }
}

const written = (cell) => (cell === undefined ? '' : cell < 10 ? cell.toFixed(1) : cell.toFixed(0))
