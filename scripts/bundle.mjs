// Bundles TypeScript files, with what they import, into modules that Node runs.
import { rmSync } from 'node:fs'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
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

/**
 * @param entry - a file that does what a server does, as commands and benches have it done without one
 * @returns what it exports
 */
export async function loadServerCode(entry) {
  // Beside the packages that stay by themselves; another command may load the same at the same time.
  const outfile = path.join(ROOT, `dist/${path.basename(entry, '.ts')}-${process.pid}.mjs`)
  await bundle(entry, outfile, {
    conditions: ['react-server'],
    external: ['@electric-sql/pglite', 'pg', 'pg-copy-streams'],
  })
  try {
    return await import(pathToFileURL(outfile).href)
  } finally {
    rmSync(outfile)
  }
}
