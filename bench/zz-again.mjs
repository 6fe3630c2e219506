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
const r = await server.importSheet(
  db,
  { caseId, fileName: 'log.csv', by: '', body: createReadStream(file, { highWaterMark: 1 << 20 }) },
  now,
)
const sample = await server.findSample(db, r.value.sampleId)
const co = db.copyOut
let inCopy = 0
db.copyOut = async (s) => {
  const a = performance.now()
  const v = await co(s)
  inCopy += performance.now() - a
  return v
}
for (let t = 0; t < 8; t++) {
  inCopy = 0
  const s = performance.now()
  const o = await server.outcomeOf(
    db,
    {
      source: '',
      wording: '',
      quantity: '',
      relation: 'at-least',
      claimedValue: '15',
      toleranceBelow: '',
      toleranceAbove: '',
      unit: '',
      burden: null,
      significanceLevel: '0.05',
      confidenceLevel: '',
      knownStandardDeviation: '',
      decimals: '',
      decimalMark: 'point',
      sampleId: sample.id,
      column: 'mass',
      kept: [[{ column: 'depot', relation: 'is', value: String(3 + t), upTo: '' }]],
    },
    sample,
  )
  console.log(o, (performance.now() - s).toFixed(0), 'copy', inCopy.toFixed(0))
}
await db.$client.close()
rmSync(folder, { recursive: true })
