import { tmpdir } from 'node:os'
import { Scratch } from '@/data/scratch'
import { CHUNK_LENGTH, inMemory } from '@/intake/sheet/columns'
import { columnHash } from '@/casefile/columnHash'
import { guessFormat } from '@/intake/sheet/format'
import { keepSheet, readSheet } from '@/intake/sheet/readSheet'
import { valueOf } from '@tests/outcome'
import { onDisk } from './keptOnDisk'

const DAY = 86_400_000
const dayAt = (row: number) => new Date(row * DAY).toISOString().slice(0, 10)

/** A sheet with a column of each kind: codes, texts that never come again, dates by few and by many, and numbers with some missing. */
function sheetOf(rowCount: number): Uint8Array {
  const rows = Array.from({ length: rowCount }, (_, row) => {
    const mass = row % 9 === 0 ? '' : 14 + (row % 100) / 100
    return `${mass},depot ${row % 7},sack “${row}”,${dayAt(row % 50)},${dayAt(row)}`
  })
  return new TextEncoder().encode(`mass,depot,sack,day,own day\n${rows.join('\n')}\n`)
}

test.each([5, CHUNK_LENGTH, 2 * CHUNK_LENGTH + 1])(
  'a sheet of %d rows that is kept on the disk is what it is in memory, as often as it is gone through',
  async (rowCount) => {
    const bytes = sheetOf(rowCount)
    const question = { source: () => [bytes], format: guessFormat(bytes) }
    const scratch = new Scratch(tmpdir())
    const kept = valueOf(await keepSheet(question, onDisk(scratch)))
    const read = valueOf(await readSheet(question))
    const own = rowCount < CHUNK_LENGTH ? 'category' : 'text'
    expect(read.columns.map(({ kind }) => kind)).toEqual(['number', 'category', own, 'date', 'date'])
    const hashes = read.columns.map(columnHash)
    for (let time = 0; time < 2; time += 1) expect(kept.columns.map(columnHash)).toEqual(hashes)
    expect(kept.columns.map(inMemory).map(columnHash)).toEqual(hashes)
    expect(kept.columns.map(inMemory)[2]).toEqual(read.columns[2])
    scratch.close()
  },
)
