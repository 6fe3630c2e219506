// Bundles the command line into one file, where its sources are newer than the bundle.
import { readdirSync, renameSync, statSync } from 'node:fs'
import path from 'node:path'
import { bundle } from './bundle.mjs'
import { ROOT } from './install.mjs'

const FLOORS = ['cli', 'intake', 'core']
export const BUNDLE = path.join(ROOT, 'dist/true-weight.mjs')

export async function buildCli() {
  if (modifiedAt(BUNDLE) > newestSource()) return
  // Several commands may start at once: each writes its own file, and a rename puts it in place whole.
  const outfile = `${BUNDLE}.${process.pid}`
  await bundle('src/cli/main.ts', outfile)
  renameSync(outfile, BUNDLE)
}

function newestSource() {
  let newest = modifiedAt(path.join(ROOT, 'package-lock.json'))
  for (const floor of FLOORS) {
    for (const file of readdirSync(path.join(ROOT, 'src', floor), { recursive: true, withFileTypes: true })) {
      if (file.isFile()) newest = Math.max(newest, modifiedAt(path.join(file.parentPath, file.name)))
    }
  }
  return newest
}

function modifiedAt(file) {
  return statSync(file, { throwIfNoEntry: false })?.mtimeMs ?? 0
}
