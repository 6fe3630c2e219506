// Chromium and its driver for the browser journeys, from the system's packages.
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { run } from './install.mjs'

const FILES = ['/usr/bin/chromium', '/usr/bin/chromedriver']
const PACKAGES = ['chromium', 'chromium-driver']

export function ensureBrowser() {
  if (FILES.every(existsSync)) return
  const missing = FILES.filter((file) => !existsSync(file)).join(' and ')
  const mayInstall = process.getuid?.() === 0 && spawnSync('apt-get', ['--version']).status === 0
  if (!mayInstall) {
    throw new Error(`${missing} is missing. Install it with: sudo apt-get install ${PACKAGES.join(' ')}`)
  }
  console.error('Installing Chromium and its driver …')
  run('apt-get', ['update', '-qq'])
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...PACKAGES], {
    DEBIAN_FRONTEND: 'noninteractive',
  })
}
