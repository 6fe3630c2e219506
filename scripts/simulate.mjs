// Shows how often intervals and tests are right, and writes docs/COVERAGE.md: `npm run simulate`. Takes some minutes.
import { spawnSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
import { ensureInstalled, ROOT } from './install.mjs'

ensureInstalled()
process.chdir(ROOT)
const { build } = await import('esbuild')
const outfile = path.join(mkdtempSync(path.join(tmpdir(), 'true-weight-')), 'simulate.mjs')
await build({
  entryPoints: [path.join(ROOT, 'simulation/main.ts')],
  outfile,
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  tsconfig: path.join(ROOT, 'tsconfig.json'),
  logLevel: 'warning',
})
await import(pathToFileURL(outfile).href)
spawnSync('npx', ['prettier', '--write', 'docs/COVERAGE.md'], { stdio: 'inherit' })
