// Bundles the command line into one file, where its sources are newer than the bundle.
import { mkdirSync, readdirSync, renameSync, statSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { bundle } from './bundle.mjs'
import { ROOT } from './install.mjs'

const FLOORS = [
  'cli',
  'report',
  'casefile',
  'intake',
  'server/compute',
  'answers',
  'words',
  'pictures',
  'desk',
  'claims',
  'statistics',
]
/** Packages that find their own files beside themselves, or are only needed now and then. */
export const UNBUNDLED = ['pdfkit', 'fontkit', 'docx', '@resvg/resvg-wasm', 'katex']
export const BUNDLE = path.join(ROOT, 'dist/true-weight.mjs')
/** What the server does in threads of their own. */
export const WORKER = path.join(ROOT, 'dist/computing.mjs')

export async function buildCli() {
  if (modifiedAt(BUNDLE) > newestSource()) return
  const { outputFiles } = await bundle('src/cli/main.ts', undefined, {
    external: UNBUNDLED,
    outdir: path.dirname(BUNDLE),
    entryNames: path.parse(BUNDLE).name,
    outExtension: { '.js': '.mjs' },
    splitting: true,
    write: false,
  })
  const worker = await bundle('src/server/compute/jobs.ts', WORKER, { write: false, external: UNBUNDLED })
  mkdirSync(path.dirname(BUNDLE), { recursive: true })
  // Several commands may start at once: each file is put in place whole by a rename, that which names the others last.
  const files = [...worker.outputFiles, ...outputFiles]
  for (const { path: file, contents } of files.toSorted((a) => (a.path === BUNDLE ? 1 : -1))) {
    const unfinished = `${file}.${process.pid}`
    writeFileSync(unfinished, contents)
    renameSync(unfinished, file)
  }
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
