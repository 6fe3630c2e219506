// Chromium and its driver for the browser journeys, from the system's packages.
import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { installFromDebian } from './debian.mjs'
import { ROOT } from './install.mjs'

/** Where they stand, what installs them, and how they are started. */
export const CHROMIUM = JSON.parse(readFileSync(path.join(ROOT, 'scripts/chromium.json'), 'utf8'))
const FILES = [CHROMIUM.binary, CHROMIUM.driver]

export function ensureBrowser() {
  if (!FILES.every(existsSync)) installFromDebian('Chromium and its driver', CHROMIUM.packages)
}
