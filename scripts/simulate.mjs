// Shows how often intervals and tests are right, and writes docs/COVERAGE.md: `npm run simulate`. Takes some minutes.
import { spawnSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
import { bundle } from './bundle.mjs'
import { ensureInstalled, ROOT } from './install.mjs'
import ownTemporaryFolder from './temporary.mjs'

process.chdir(ROOT)
ensureInstalled('all')
ownTemporaryFolder()
const outfile = path.join(mkdtempSync(path.join(tmpdir(), 'true-weight-')), 'simulate.mjs')
await bundle('simulation/main.ts', outfile)
await import(pathToFileURL(outfile).href)
spawnSync('npx', ['prettier', '--write', 'docs/COVERAGE.md'], { stdio: 'inherit' })
