// Installs packages of the system where that is allowed.
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { run } from './install.mjs'

let isUpdated = false

/** @param name - what they are for people */
export function installFromDebian(name, packages) {
  const mayInstall = process.getuid?.() === 0 && spawnSync('apt-get', ['--version']).status === 0
  if (!mayInstall)
    throw new Error(`${name} is missing. Install it with: sudo apt-get install ${packages.join(' ')}`)
  console.error(`Installing ${name} …`)
  if (!isUpdated) run('apt-get', ['update', '-qq'])
  isUpdated = true
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...packages], {
    DEBIAN_FRONTEND: 'noninteractive',
  })
}

/** The program that seals are held against in the tests, as another one than the application that knows time stamps. */
export function ensureOpenssl() {
  if (!existsSync('/usr/bin/openssl')) installFromDebian('OpenSSL', ['openssl'])
}

/** The programs that docs/VERIFY.md checks a case file with. */
export function ensureCommonTools() {
  const lacking = ['unzip', 'jq', 'python3'].filter((name) => spawnSync(name, ['--help']).error)
  if (lacking.length > 0) installFromDebian('What case files are checked with', lacking)
}

/** The programs that the tests look into PDF files with. */
export function ensurePoppler() {
  if (!existsSync('/usr/bin/pdffonts')) installFromDebian('Poppler’s tools', ['poppler-utils'])
}
