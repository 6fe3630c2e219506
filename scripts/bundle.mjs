// Bundles one TypeScript file, with what it imports, into a module that Node runs.
import path from 'node:path'
import { ensureInstalled, ROOT } from './install.mjs'

export async function bundle(entry, outfile) {
  ensureInstalled()
  const { build } = await import('esbuild')
  await build({
    entryPoints: [path.join(ROOT, entry)],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    tsconfig: path.join(ROOT, 'tsconfig.json'),
    logLevel: 'warning',
  })
}
