// `npm run demo` from an empty checkout to its first page.
import { execFileSync, spawn } from 'node:child_process'
import { ROOT } from '../scripts/install.mjs'
import { addressOf, newFolder } from './workbench.mjs'

export async function measureStart() {
  const checkout = newFolder()
  execFileSync('git', ['clone', '--quiet', ROOT, checkout])
  const began = performance.now()
  const server = spawn('npm', ['run', 'demo'], { cwd: checkout, detached: true })
  try {
    const { status } = await fetch(await addressOf(server))
    const seconds = (performance.now() - began) / 1000
    console.log(`npm run demo, empty checkout to first page (${status}): ${seconds.toFixed(0)} s`)
  } finally {
    process.kill(-server.pid, 'SIGKILL')
  }
}
