// Bundles TypeScript files, with what they import, into modules that Node runs.
import path from 'node:path'
import { ensureInstalled, ROOT } from './install.mjs'

/** One finds its own files beside itself; the others are of the older kind of module, and ask for what Node has. */
const UNBUNDLED = ['piscina', 'pngjs', 'yauzl', 'yazl']

/**
 * @param entry - a file, or several by the names of what is made of them
 * @param outfile - undefined where `more` says where it goes
 * @param more - esbuild's own options, beside those that every bundle has
 */
export async function bundle(entry, outfile, more = {}) {
  ensureInstalled()
  const { build } = await import('esbuild')
  return build({
    entryPoints: typeof entry === 'string' ? [path.join(ROOT, entry)] : entry,
    ...(outfile === undefined ? {} : { outfile }),
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    tsconfig: path.join(ROOT, 'tsconfig.json'),
    logLevel: 'warning',
    ...more,
    external: [...UNBUNDLED, ...(more.external ?? [])],
  })
}
