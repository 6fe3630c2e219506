import { type Remote, wrap } from './link'
import type { SheetWorker } from './sheetWorker'

let worker: Remote<SheetWorker> | undefined

/** The worker that reads sheets: one for the whole page, started when it is first needed. */
export function sheets(): Remote<SheetWorker> {
  worker ??= wrap<SheetWorker>(new Worker(new URL('./sheetWorker.ts', import.meta.url), { type: 'module' }))
  return worker
}
