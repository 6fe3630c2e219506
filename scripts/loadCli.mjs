// Loads the command line's bundle, with the compiled form of it that is kept beside it: that halves the time that it takes.
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
import vm from 'node:vm'

const FOLDER = path.resolve(import.meta.dirname, '../dist')
const NAME = 'true-weight.cjs'
/** Of this version of Node only; of another one it is not there, and the bundle is compiled as ever. */
const COMPILED_NAME = `true-weight-${process.version}.compiled`
export const BUNDLE = path.join(FOLDER, NAME)
export const COMPILED = path.join(FOLDER, COMPILED_NAME)
/** Letters that tell one bundle from another, before either's own. Node itself goes by its length only. */
export const MARK_LENGTH = 32

/**
 * @param folder - of the bundle and its compiled form
 * @returns the script, its mark, and what it exports: the command line, and what a thread of it does
 */
export function compile(folder = FOLDER) {
  const bundle = path.join(folder, NAME)
  const source = readFileSync(bundle, 'utf8')
  const mark = source.slice(2, 2 + MARK_LENGTH)
  const script = new vm.Script(source, { filename: bundle, cachedData: compiledOf(mark, folder) })
  const made = { exports: {} }
  // A compiled form that is kept can't itself import what is asked for.
  const ask = (name) => import(pathToFileURL(path.join(folder, name)).href)
  script.runInThisContext()(made.exports, createRequire(bundle), made, ask)
  return { script, mark, ...made.exports }
}

function compiledOf(mark, folder) {
  try {
    const kept = readFileSync(path.join(folder, COMPILED_NAME))
    return kept.toString('latin1', 0, MARK_LENGTH) === mark ? kept.subarray(MARK_LENGTH) : undefined
  } catch {
    return undefined
  }
}
