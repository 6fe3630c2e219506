// `npm run demo` from an empty checkout to its first page; where only whether it works is wanted, from this checkout.
import { execFileSync, spawn } from 'node:child_process'
import path from 'node:path'
import { ROOT } from '../scripts/install.mjs'
import { IS_TINY } from './sizes.mjs'
import { addressOf, newFolder } from './server.mjs'

export async function measureStart() {
  const checkout = IS_TINY ? ROOT : newFolder()
  if (!IS_TINY) execFileSync('git', ['clone', '--quiet', ROOT, checkout])
  const began = performance.now()
  const server = spawn('npm', ['run', 'demo', '--', '--data', path.join(newFolder(), 'data')], {
    cwd: checkout,
    detached: true,
  })
  try {
    const { status } = await fetch(await addressOf(server))
    const seconds = (performance.now() - began) / 1000
    console.log(`npm run demo, to its first page (${status}): ${seconds.toFixed(0)} s`)
  } finally {
    process.kill(-server.pid, 'SIGKILL')
  }
}
