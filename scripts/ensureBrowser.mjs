// Chromium and its driver for the browser journeys, from the system's packages.
import { spawnSync } from 'node:child_process'
import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { ROOT, run } from './install.mjs'

/** Where they stand, what installs them, and how they are started. */
export const CHROMIUM = JSON.parse(readFileSync(path.join(ROOT, 'scripts/chromium.json'), 'utf8'))
const FILES = [CHROMIUM.binary, CHROMIUM.driver]

export function ensureBrowser() {
  if (FILES.every(existsSync)) return
  const missing = FILES.filter((file) => !existsSync(file)).join(' and ')
  const mayInstall = process.getuid?.() === 0 && spawnSync('apt-get', ['--version']).status === 0
  if (!mayInstall) {
    throw new Error(
      `${missing} is missing. Install it with: sudo apt-get install ${CHROMIUM.packages.join(' ')}`,
    )
  }
  console.error('Installing Chromium and its driver …')
  run('apt-get', ['update', '-qq'])
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...CHROMIUM.packages], {
    DEBIAN_FRONTEND: 'noninteractive',
  })
}
