// Where the data are kept.
import { homedir } from 'node:os'
import path from 'node:path'
import { ROOT } from './install.mjs'

/** As stated, or as TRUE_WEIGHT_DATA says; else the demo's, which lives with the checkout, or the user's own, which outlive it. */
export function dataFolder({ data, demo }) {
  if (data === '') throw new Error('--data is empty; it has to be the path of a folder.')
  if (data ?? process.env.TRUE_WEIGHT_DATA) return path.resolve(data ?? process.env.TRUE_WEIGHT_DATA)
  if (demo) return path.join(ROOT, 'data/demo')
  return path.join(process.env.XDG_DATA_HOME ?? path.join(homedir(), '.local/share'), 'true-weight')
}
