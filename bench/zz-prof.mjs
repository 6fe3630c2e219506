import { createReadStream, mkdtempSync, rmSync } from 'node:fs'
import { randomUUID } from 'node:crypto'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
import { ROOT } from '../scripts/install.mjs'
import { LOG_ROWS, writeLog } from './log.mjs'
const server = await import(pathToFileURL(path.join(ROOT, 'dist/bench-stored.mjs')).href)
const folder = mkdtempSync('/tmp/twb-')
process.env.TRUE_WEIGHT_DATA = folder
const file = await writeLog(path.join(folder, 'log.csv'), LOG_ROWS)
const db = await server.openDatabase(path.join(folder, 'data'))
const caseId = randomUUID(),
  now = new Date()
await server.insertCase(db, {
  id: caseId,
  reference: '',
  subject: '',
  party: '',
  createdAt: now,
  updatedAt: now,
})
const ci = db.copyIn
for (let t = 0; t < 3; t++) {
  const start = performance.now()
  let last = start
  const r = await server.importSheet(
    db,
    {
      caseId,
      fileName: 'log.csv',
      by: '',
      body: createReadStream(file, { highWaterMark: 1 << 20 }),
      onProgress: (rows, share) => {
        if (share >= 1 || rows < 20000) console.log('progress', rows, (performance.now() - start).toFixed(0))
      },
    },
    now,
  )
  console.log('total', (performance.now() - start).toFixed(0))
}
await db.$client.close()
rmSync(folder, { recursive: true })
