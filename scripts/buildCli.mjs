// Bundles the command line, where its sources are newer than the bundle.
import { mkdirSync, readdirSync, renameSync, statSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { BUNDLE } from './loadCli.mjs'

const ROOT = path.resolve(import.meta.dirname, '..')
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
/** What the server does in threads of their own. */
export const WORKER = path.join(ROOT, 'dist/computing.mjs')

export async function buildCli() {
  if (modifiedAt(BUNDLE) > newestSource()) return
  // What makes bundles takes longer to load than a check.
  const { bundle } = await import('./bundle.mjs')
  const { bundleCli, keepCompiled } = await import('./bundleCli.mjs')
  const worker = await bundle('src/server/compute/jobs.ts', WORKER, { write: false, external: UNBUNDLED })
  mkdirSync(path.dirname(BUNDLE), { recursive: true })
  // Several commands may start at once: each file is put in place whole by a rename, that which names the others last.
  const files = [...worker.outputFiles, ...(await bundleCli({ external: UNBUNDLED }))]
  for (const { path: file, contents } of files) {
    const unfinished = `${file}.${process.pid}`
    writeFileSync(unfinished, contents)
    renameSync(unfinished, file)
  }
  keepCompiled()
}

function newestSource() {
  const floors = FLOORS.map((floor) => newestIn(path.join(ROOT, 'src', floor)))
  return Math.max(modifiedAt(path.join(ROOT, 'package-lock.json')), ...floors)
}

/** Every start of the command line asks: this looks at names only, and is three times as fast as asking what each is. */
function newestIn(folder) {
  let newest = 0
  for (const name of readdirSync(folder)) {
    const file = `${folder}/${name}`
    if (name.endsWith('.ts')) newest = Math.max(newest, modifiedAt(file))
    else if (!name.includes('.')) newest = Math.max(newest, newestIn(file))
  }
  return newest
}

function modifiedAt(file) {
  return statSync(file, { throwIfNoEntry: false })?.mtimeMs ?? 0
}
