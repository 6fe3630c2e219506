// What a server holds in memory, whose data folder is new: once it answers, and after twenty files were brought in.
import path from 'node:path'
import { build } from '../scripts/build.mjs'
import { bringIn, newCase } from './desk.mjs'
import { memoryOf } from './load.mjs'
import { writeLog } from './log.mjs'
import { newFolder, withServer } from './server.mjs'
import { sized } from './sizes.mjs'

const IMPORTS = sized(20, 2)
const ROWS = sized([100_000, 1_000_000], [1000])
const GOAL = 500

export async function measureMemory() {
  await build()
  for (const rows of ROWS) {
    const file = await writeLog(path.join(newFolder(), 'log.csv'), rows)
    await withServer(['--data', newFolder()], async (address, { pid }) => {
      const caseId = await newCase(address)
      const before = memoryOf(pid)
      let most = 0
      for (let count = 0; count < IMPORTS; count += 1) {
        await bringIn(address, caseId, file)
        most = Math.max(most, memoryOf(pid))
      }
      console.log(
        `Memory of a server: ${before.toFixed(0)} MB, after ${IMPORTS} imports of ${rows.toLocaleString('en')} rows ${memoryOf(pid).toFixed(0)} MB (goal ${GOAL}), at most ${most.toFixed(0)} MB between them`,
      )
    })
  }
}
